<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Appliance\Model;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\Sample;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Ways to a mark without the skill, on every shipped model: none of them passes under any shipped rules, by hand. A
 * different way on each second model; every way on all: SPARK_ALL_FAULTS=1, as ./spark check does.
 */
final class CheatsEverywhereTest extends TestCase
{
    private const RULES = ['first-year', 'journeyman', 'examination'];

    private const FAULTS = [
        'furnace-80' => ['limit:stuck-open', 'rod:dirty'],
        'furnace-80-limit-in-r' => ['furnace.valve:coil-open'],
        'boiler-hydronic' => ['relay:coil-open', 'pilot:web'],
        'oil-furnace' => ['motor:open'],
        'package-direct-spark' => ['limit:stuck-open'],
        'furnace-standing-pilot' => ['transformer:primary-open', 'thermocouple:weak'],
        'boiler-simple-230' => ['fan:open'],
        'zones-hydronic' => ['zv1:motor-open'],
        'mid-position-230' => ['three-port:motor-dead'],
    ];

    private const WAYS = [
        'the lucky name',
        'the sweep of every terminal',
        'nothing looked at',
        'stars on everything',
        'every hint',
        'everything replaced',
        'handed back at once',
    ];

    /** @return iterable<string, array{string, string, string}> model, fault, way */
    public static function cheats(): iterable
    {
        $n = 0;
        foreach (Sample::of(2, self::FAULTS) as $model => $faults) {
            foreach (getenv('SPARK_ALL_FAULTS') ? $faults : [$faults[0]] as $fault) {
                $ways = getenv('SPARK_ALL_FAULTS') ? self::WAYS : [self::WAYS[$n++ % count(self::WAYS)]];
                foreach ($ways as $way) {
                    yield "$model, $fault: $way" => [$model, $fault, $way];
                }
            }
        }
    }

    #[DataProvider('cheats')]
    public function test_it_does_not_pay(string $model, string $fault, string $way): void
    {
        $plan = TestRig::plan($model);
        $faultSet = FaultSet::of($plan->model);
        $visit = $plan->model->visits()[0];
        $log = Fixtures::log(self::entries($plan->model, $faultSet, $fault, $way), 7);
        $seen = Attempt::run($plan, $faultSet->get($fault), $log, $visit, new Memory(), null, new Kit())->observations;
        $marker = Marker::of(Marking::account($plan, $faultSet, $fault, $seen));
        foreach (self::RULES as $rules) {
            $mark = $marker->mark(Marking::rules($rules));
            self::assertFalse($mark->passed(), "$rules: {$mark->total()} with ".implode(', ', $mark->caps));
        }
    }

    /** @return list<array<string, mixed>> */
    private static function entries(Model $model, FaultSet $faultSet, string $fault, string $way): array
    {
        $part = $faultSet->faults[$fault]->part;
        $repair = $faultSet->faults[$fault]->repair;
        $how = in_array($repair, ['clean', 'set', 'clear'], true) ? $repair : 'replace';
        $looks = $terminals = $electric = $power = [];
        $reference = null;
        foreach ($model->parts() as $p) {
            $kind = $p->kind;
            if ($kind->isSupply() || $kind->isFuelSupply() || $kind->isThermostat() || $kind->hasCode()) {
                $looks[] = ['act' => 'look', 'part' => $p->id];
            }
            foreach ($kind->isSupply() ? array_keys($kind->settings) : [] as $lever) {
                $power[] = ['act' => 'set', 'part' => $p->id, 'lever' => $lever];
            }
            foreach ($kind->references as $terminal) {
                $reference ??= "$p->id.$terminal";
            }
            array_push($terminals, ...array_map(fn (string $t): string => "$p->id.$t", array_keys($kind->terminals)));
            if ($kind->isElectric() && ! $kind->isSupply()) {
                $electric[] = $p->id;
            }
        }
        $door = fn (string $to): array => array_values(array_map(
            fn ($d): array => ['act' => 'door', 'door' => $d->id, 'to' => $to],
            $model->doors()->doors,
        ));
        $turned = fn (string $to): array => array_map(fn (array $set): array => $set + ['to' => $to], $power);
        $name = [['act' => 'name', 'fault' => $fault]];
        $mended = [['act' => 'mend', 'part' => $part, 'how' => $how]];
        $before = match ($way) {
            'nothing looked at' => [],
            default => $looks,
        };
        $middle = match ($way) {
            'the sweep of every terminal' => [
                ...array_map(
                    fn (string $t): array => ['act' => 'leads', 'red' => $t, 'black' => $reference],
                    array_slice($terminals, 0, 90),
                ),
                ['act' => 'leads', 'red' => null, 'black' => null],
                ...$name,
            ],
            'stars on everything' => [
                ...array_map(
                    fn (string|int $id): array => ['act' => 'suspect', 'fault' => (string) $id, 'mark' => 'star'],
                    array_slice(array_keys($faultSet->faults), 0, 60),
                ),
                ...$name,
            ],
            'every hint' => [
                ...array_map(
                    fn (string $g): array => ['act' => 'hint', 'grade' => $g],
                    ['where', 'circuit', 'reading'],
                ),
                ...$name,
            ],
            'everything replaced' => [
                ...$turned('off'),
                ...array_map(
                    fn (string $id): array => ['act' => 'mend', 'part' => $id, 'how' => 'replace'],
                    array_slice($electric, 0, 25),
                ),
            ],
            default => $name,
        };
        $after = [...$turned('off'), ...$mended, ...$door('shut'), ...$turned('on')];
        $late = $way === 'everything replaced' ? $name : [];
        $at = 0.0;
        $entries = array_map(
            function (array $act) use (&$at): array {
                return ['at_s' => $at += 0.5] + $act;
            },
            [...$before, ...$door('open'), ...$middle, ...$after],
        );
        $waits = $way === 'handed back at once' ? 1 : 700;

        return [
            ...$entries,
            ['at_s' => $at + $waits, 'act' => 'wait'],
            ...array_map(fn (array $act): array => ['at_s' => $at + $waits + 1] + $act, $late),
            ['at_s' => $at + $waits + 2, 'act' => 'hand_back'],
        ];
    }
}
