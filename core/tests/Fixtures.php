<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Universe;
use OddSpark\Run\Memory;

/** What many tests need: the furnace, compiled once, and short ways to act on it. */
final class Fixtures
{
    private static ?Plan $plan = null;

    public static function furnace(): Plan
    {
        return self::$plan ??= Compiler::compile((new Library())->model('furnace-80'));
    }

    public static function universe(): Universe
    {
        return Universe::of(self::furnace()->model);
    }

    /** @return array{Bench, array<string, mixed>} a candidate's bench at its arrival */
    public static function bench(string $fault = 'healthy', string $visit = 'cold', ?int $seed = null): array
    {
        $bench = new Bench(self::furnace(), self::universe()->get($fault), new Memory(), $seed);
        $state = $bench->arrive($visit)->state;
        $bench->resume($state);

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
        return new Act((int) round($seconds * 1000), $name, $with);
    }

    /** The good hand's trace of an open limit, door off and switch held. @return list<array<string, mixed>> */
    public static function limitTrace(): array
    {
        return [
            ['at_s' => 2, 'act' => 'look', 'part' => 'thermostat'],
            ['at_s' => 4, 'act' => 'look', 'part' => 'breaker'],
            ['at_s' => 6, 'act' => 'look', 'part' => 'cock'],
            ['at_s' => 10, 'act' => 'door', 'to' => 'open'],
            ['at_s' => 12, 'act' => 'hold', 'to' => 'held'],
            ['at_s' => 40, 'act' => 'leads', 'red' => 'board.R', 'black' => 'board.C'],
            ['at_s' => 45, 'act' => 'leads', 'red' => 'limit.a', 'black' => 'board.C'],
            ['at_s' => 50, 'act' => 'leads', 'red' => 'limit.b', 'black' => 'board.C'],
        ];
    }
}
