<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/** What many tests need: the furnace, compiled once, and short ways to act on it. */
final class Fixtures
{
    private static ?Plan $plan = null;

    public static function furnace(): Plan
    {
        return self::$plan ??= Compiler::compile((new Library())->model('furnace-80'));
    }

    /**
     * A model of a few parts of shipped kinds, each wire half a yard of 18 AWG.
     *
     * @param array<string, string|array<string, mixed>> $parts kind, or kind with params and links, by id
     * @param list<array{0: string, 1: string, 2?: array<string, mixed>}> $wires from, to, and what differs
     * @param array<string, array<string, mixed>> $process
     * @param array<string, mixed> $more
     */
    public static function small(array $parts, array $wires, array $process = [], array $more = []): Model
    {
        $document = [
            'odd_spark_model' => 1,
            'name' => 'small',
            'title' => 'A few parts',
            'supply' => ['hertz' => 60, 'volts' => 120, 'region' => 'NA'],
            'parts' => [],
            'wires' => [],
            'process' => $process,
            'universe' => [
                'wire_modes' => [
                    'open' => [
                        'title' => 'broken inside',
                        'set' => ['body.open' => true],
                        'weight' => 0.2,
                        'repair' => 'wire',
                    ],
                ],
            ],
            'visits' => [
                'cold' => ['title' => 'Found cold', 'notices_s' => 1, 'household' => [], 'arrives' => ['after_s' => 1]],
            ],
        ];
        $n = 0;
        foreach ($parts as $id => $part) {
            $document['parts'][] =
                ['id' => $id, 'label' => ucfirst($id), 'at' => [200 * ($n % 40), 100 * intdiv($n++, 40)]] +
                (is_string($part) ? ['kind' => $part] : $part);
        }
        foreach ($wires as $i => $wire) {
            $document['wires'][] = ($wire[2] ?? []) + [
                'id' => "w$i",
                'from' => $wire[0],
                'to' => $wire[1],
                'colour' => 'red',
                'awg' => 18,
                'feet' => 1.5,
            ];
        }

        return (new Library())->resolve($more + $document);
    }

    public static function universe(): FaultSet
    {
        return FaultSet::of(self::furnace()->model);
    }

    /** @return array{Bench, BenchState} a candidate's bench at its arrival */
    public static function bench(string $fault = 'healthy', string $visit = 'cold', ?int $seed = null): array
    {
        $bench = new Bench(self::furnace(), self::universe()->get($fault), new Memory(), $seed);
        $state = $bench->arrive($visit)->state;
        $state = $bench->resume($state);

        return [$bench, $state];
    }

    /** @param list<array<string, mixed>> $entries */
    public static function log(array $entries, int $seed = 5): ActionLog
    {
        return ActionLog::of(['odd_spark_actions' => 1, 'seed' => $seed, 'entries' => $entries]);
    }

    /** @param array<string, mixed> $with */
    public static function act(float $seconds, string $name, array $with = []): Act
    {
        return Catalogue::make((int) round($seconds * 1000), $name, $with);
    }

    /** The good hand's trace of an open limit, door off and switch held. @return list<array<string, mixed>> */
    public static function limitTrace(): array
    {
        return [
            ['at_s' => 2, 'act' => 'look', 'part' => 'thermostat'],
            ['at_s' => 4, 'act' => 'look', 'part' => 'breaker'],
            ['at_s' => 6, 'act' => 'look', 'part' => 'cock'],
            ['at_s' => 8, 'act' => 'look', 'part' => 'board'], // the lamp, through the glass
            ['at_s' => 10, 'act' => 'door', 'to' => 'open'],
            ['at_s' => 12, 'act' => 'hold', 'to' => 'held'],
            ['at_s' => 40, 'act' => 'leads', 'red' => 'board.R', 'black' => 'board.C'],
            ['at_s' => 45, 'act' => 'leads', 'red' => 'limit.a', 'black' => 'board.C'],
            ['at_s' => 50, 'act' => 'leads', 'red' => 'limit.b', 'black' => 'board.C'],
        ];
    }
}
