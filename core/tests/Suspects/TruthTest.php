<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Bench\Observations;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\Sample;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Whatever is done at the bench of whatever model, and with whatever meter: the true fault is never ruled out. Some
 * attempts at random on each second; more of them on all: SPARK_ALL_FAULTS=1, as ./spark check does.
 */
final class TruthTest extends TestCase
{
    private const ATTEMPTS = 8;

    private const MORE = 60;

    private const TIMES = 8;

    private const ACTS = 14;

    private const DIALS = ['vac', 'vdc', 'vlz', 'mvdc', 'ohm', 'beep', 'uf', 'hz', 'ua', 'ma', 'aac'];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Sample::of(2, (new Library())->names()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_the_true_fault_is_never_ruled_out(string $model): void
    {
        $plan = TestRig::plan($model);
        $faults = FaultSet::of($plan->model);
        $memory = new Memory();
        mt_srand(crc32($model));
        for ($n = 0; $n < (getenv('SPARK_ALL_FAULTS') ? self::MORE : self::ATTEMPTS); $n++) {
            $fault = self::one(array_keys($faults->faults));
            $visit = self::one($plan->model->visits());
            $seen = Attempt::run(
                $plan, $faults->get($fault), Fixtures::log(self::acts($plan), $n), $visit, $memory,
                kit: new Kit(lowBattery: $n % 5 === 0, wornLeads: $n % 3 === 0),
            )->observations;
            $tracker = new Tracker($plan, $faults->only([$fault]), $visit, $memory);
            foreach ($tracker->follow($seen) as $i => $step) {
                $entry = json_encode($seen->toArray()['entries'][$i - 1] ?? null, JSON_UNESCAPED_UNICODE);
                self::assertTrue($step->has($fault), "$fault, $visit, attempt $n: $entry");
            }
        }
    }

    /**
     * Parts scatter, so that an appliance comes to each event some hundredths of a second before a candidate or after
     * it; and whoever goes on from event to event does all he does just then.
     */
    #[DataProvider('models')]
    public function test_nor_is_it_when_all_is_done_at_the_very_moment_when_something_happens(string $model): void
    {
        $plan = TestRig::plan($model);
        $faults = FaultSet::of($plan->model);
        $memory = new Memory();
        mt_srand(crc32("$model at events"));
        $sights = array_filter($plan->percepts, fn (array $p): bool => $p['sense'] === 'sight' && $p['part'] !== null);
        $parts = array_values(array_unique(array_column($sights, 'part')));
        for ($n = 0; $n < count($parts) * (getenv('SPARK_ALL_FAULTS') ? self::TIMES : 1); $n++) {
            $fault = self::one(array_keys($faults->faults));
            $visit = self::one($plan->model->visits());
            $before = self::opened($plan, $parts[$n % count($parts)]);
            $run = fn (array $entries): Observations => Attempt::run(
                $plan, $faults->get($fault), Fixtures::log([...$before, ...$entries], $n), $visit, $memory,
                kit: new Kit(lowBattery: false, wornLeads: false),
            )->observations;
            $begun = 1000 * end($before)['at_s'];
            $events = [];
            foreach ($run([['at_s' => 200, 'act' => 'wait']])->perceived as $stretches) {
                foreach ($stretches as [$from]) {
                    if ($from > $begun + 50) {
                        $events[$from] = true;
                    }
                }
            }
            ksort($events);
            $off = self::one([0, 0, 7, -7, 40]);
            $entries = [];
            foreach (array_keys($events) as $tick) {
                $entries[] = ['at_s' => ($tick + $off) / 1000, 'act' => 'dial', 'mode' => self::one(['vac', 'vdc'])];
            }
            $ways = ['to the end' => [...$entries, ['at_s' => 210, 'act' => 'wait']]];
            foreach ($events === [] ? [] : [array_key_last($events), self::one(array_keys($events))] as $tick) {
                $at = ($tick + 10) / 1000; // a candidate that would have come to it later is forestalled
                $ways["off at $at"] = [
                    ...array_filter($entries, fn (array $e): bool => $e['at_s'] < $at),
                    ...array_map(fn (array $set): array => ['at_s' => $at] + $set, self::off($plan)),
                    ['at_s' => $at + 60, 'act' => 'wait'],
                ];
            }
            foreach ($ways as $way => $log) {
                $tracker = new Tracker($plan, $faults->only([$fault]), $visit, $memory);
                foreach ($tracker->follow($run($log)) as $i => $step) {
                    self::assertTrue($step->has($fault), "$fault, $visit, attempt $n, $off, $way: entry ".($i - 1));
                }
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private static function off(Plan $plan): array
    {
        $off = [];
        foreach ($plan->model->parts() as $part) {
            foreach ($part->kind->isSupply() ? array_keys($part->kind->settings) : [] as $lever) {
                $off[] = ['act' => 'set', 'part' => $part->id, 'lever' => $lever, 'to' => 'off'];
            }
        }

        return $off;
    }

    /** @return list<array<string, mixed>> all doors, and eyes on a part */
    private static function opened(Plan $plan, string $part): array
    {
        $at = 1.0;
        $entries = [];
        foreach ($plan->model->document['doors'] ?? [] as $door) {
            if (! ($door['sealed'] ?? false)) {
                $entries[] = ['at_s' => $at += 0.1, 'act' => 'door', 'door' => $door['id'], 'to' => 'open'];
            }
        }
        $entries[] = ['at_s' => $at += 0.1, 'act' => 'hold', 'to' => 'held'];
        $entries[] = ['at_s' => $at += 0.1, 'act' => 'look', 'part' => $part];

        return $entries;
    }

    /** @return list<array<string, mixed>> */
    private static function acts(Plan $plan): array
    {
        $entries = [];
        $at = 1.0;
        foreach ($plan->model->document['doors'] ?? [] as $door) {
            if (! ($door['sealed'] ?? false)) {
                $entries[] = ['at_s' => $at += 0.5, 'act' => 'door', 'door' => $door['id'], 'to' => 'open'];
            }
        }
        if (mt_rand(0, 1) === 1) {
            $entries[] = ['at_s' => $at += 0.5, 'act' => 'hold', 'to' => 'held'];
        }
        for ($i = 0; $i < self::ACTS; $i++) {
            $entries[] = ['at_s' => $at += mt_rand(500, 30_000) / 1000] + self::act($plan);
        }

        return $entries;
    }

    /** @return array<string, mixed> */
    private static function act(Plan $plan): array
    {
        $place = fn (): string => self::one(array_keys($plan->places));
        $wire = fn (): string => self::one(array_keys($plan->model->wires()));
        $tap = fn (): string => self::one(array_keys($plan->model->taps()));

        return match (mt_rand(0, 12)) {
            0 => ['act' => 'look', 'part' => self::one(array_column($plan->model->document['parts'], 'id'))],
            1 => ['act' => 'dial', 'mode' => self::one(self::DIALS)],
            2 => ['act' => 'dial', 'mode' => 'vac', 'range' => self::one([6, 60, 600])],
            3 => ['act' => 'clamp', 'wires' => [$wire(), $wire()], 'turns' => mt_rand(1, 10)],
            4 => ['act' => 'tester', 'place' => $place()],
            5 => ['act' => 'gauge', 'tap' => $tap()],
            6 => ['act' => 'probe', 'tap' => $tap()],
            7, 8 => ['act' => 'keep', 'to' => self::one(['on', 'off'])],
            9 => ['act' => 'lift', 'end' => $wire().'.'.self::one(['a', 'b'])],
            10 => ['act' => 'read'],
            default => ['act' => 'leads', 'red' => $place(), 'black' => $place()],
        };
    }

    /**
     * @template T
     *
     * @param list<T> $of
     * @return T
     */
    private static function one(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }
}
