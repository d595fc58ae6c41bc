<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Meter\Reading;
use OddSpark\Run\Memory;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Classes;
use OddSpark\Suspects\Evidence;
use OddSpark\Suspects\Suspects;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Suspects, worth and classes of strings of switches, against an oracle that knows only this: a place is fed when
 * all before it is whole. And seeded attempts with every reading pushed to the limit of the meter's accuracy.
 */
final class OracleTest extends TestCase
{
    /** Attempts on each model, all of them in ./spark check. */
    private const ATTEMPTS = 125;

    private const SAMPLE = 40;

    /** @return iterable<string, array{int, int}> switches, seed */
    public static function strings(): iterable
    {
        foreach ([[2, 1], [3, 2], [3, 3], [4, 4], [5, 5], [5, 6]] as [$n, $seed]) {
            yield "$n switches, seed $seed" => [$n, $seed];
        }
    }

    #[DataProvider('strings')]
    public function test_suspects_and_worth_are_what_logic_says(int $n, int $seed): void
    {
        [$plan, $opens] = $this->string($n);
        $faultSet = FaultSet::of($plan->model);
        mt_srand($seed);
        $places = array_keys($opens['']);
        for ($run = 0; $run < 12; $run++) {
            $truths = array_keys($opens);
            $truth = $truths[mt_rand(0, count($truths) - 1)];
            $taken = [];
            $entries = [];
            for ($i = 0; $i < 3; $i++) {
                $taken[] = $place = $places[mt_rand(0, count($places) - 1)];
                $entries[] = ['at_s' => 1 + 5 * $i, 'act' => 'leads', 'red' => $place, 'black' => 'panel.N'];
            }
            $memory = new Memory();
            $seen = Attempt::run(
                $plan,
                $faultSet->get($truth === '' ? 'healthy' : $truth),
                Fixtures::log($entries, $seed * 100 + $run),
                'cold',
                $memory,
            )->observations;
            $tracker = new Tracker($plan, $faultSet, 'cold', $memory);
            $steps = $tracker->follow($seen);
            foreach ($steps as $k => $step) {
                $left = [];
                foreach ($opens as $fault => $fed) {
                    $agrees =
                        array_filter(array_slice($taken, 0, $k), fn (string $p) => $fed[$p] !== $opens[$truth][$p]) ===
                        [];
                    if ($agrees) {
                        $left[] = $fault === '' ? 'healthy' : $fault;
                    }
                }
                self::assertEqualsCanonicalizing(
                    $left,
                    array_map(strval(...), array_keys($step->weights)),
                    "after $k readings of $truth",
                );
            }
            // the worth of each reading to neutral: how the weight is parted into fed and dead
            $weights = end($steps)->weights;
            foreach ((new BestReading($plan))->rank($tracker->candidates(), $weights, PHP_INT_MAX) as $choice) {
                if ($choice->kind !== 'vac' || $choice->black !== 'panel.N' || ! isset($opens[''][$choice->red])) {
                    continue;
                }
                $sums = ['fed' => 0.0, 'dead' => 0.0];
                foreach ($weights as $fault => $weight) {
                    $sums[$opens[$fault === 'healthy' ? '' : $fault][$choice->red] ? 'fed' : 'dead'] += $weight;
                }
                self::assertEqualsWithDelta(Suspects::bits($sums), $choice->bits, 1e-9, $choice->red);
            }
        }
    }

    public function test_classes_are_those_of_the_same_places_fed(): void
    {
        [$plan, $opens] = $this->string(3);
        $classes = new Classes(new Evidence($plan, FaultSet::of($plan->model), 'cold'));
        $ids = array_keys($opens);
        foreach ($ids as $i => $a) {
            foreach (array_slice($ids, $i + 1) as $b) {
                [$p, $q] = [$a === '' ? 'healthy' : $a, $b === '' ? 'healthy' : $b];
                $sameFed = $opens[$a] === $opens[$b];
                // seen on the handle, or cured by a tap
                $handle = str_contains($p.$q, 'switched-off') || str_contains($p.$q, 'loose');
                if (! $sameFed) {
                    self::assertTrue($classes->apart($p, $q), "$p and $q");
                } elseif (! $handle) {
                    self::assertFalse($classes->apart($p, $q), "$p and $q");
                }
            }
        }
    }

    #[DataProvider('archetypes')]
    public function test_the_truth_stays_with_every_reading_at_the_limit_of_accuracy(string $name): void
    {
        $plan = Compiler::compile((new Library())->model($name));
        $faultSet = FaultSet::of($plan->model);
        $faults = array_keys($faultSet->faults);
        $places = array_keys($plan->places);
        $parts = array_column($plan->model->document['parts'], 'id');
        $visits = $plan->model->visits();
        $memory = new Memory();
        mt_srand(crc32($name));
        for ($n = 0; $n < (getenv('SPARK_ALL_FAULTS') ? self::ATTEMPTS : self::SAMPLE); $n++) {
            $fault = $faults[mt_rand(0, count($faults) - 1)];
            $entries = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 1, 'act' => 'hold', 'to' => 'held']];
            for ($t = 2, $i = 0; $i < 5; $i++) {
                $t += mt_rand(1, 40);
                $entries[] =
                    ['at_s' => $t] +
                    match (mt_rand(0, 6)) {
                        0 => ['act' => 'look', 'part' => $parts[mt_rand(0, count($parts) - 1)]],
                        1 => ['act' => 'dial', 'mode' => ['vac', 'vdc', 'vlz', 'ohm', 'mvdc'][mt_rand(0, 4)]],
                        default => [
                            'act' => 'leads',
                            'red' => $places[mt_rand(0, count($places) - 1)],
                            'black' => $places[mt_rand(0, count($places) - 1)],
                        ],
                    };
            }
            $visit = $visits[$n % count($visits)];
            $seen = $this->pushed(
                Attempt::run($plan, $faultSet->get($fault), Fixtures::log($entries, 7000 + $n), $visit, $memory)
                    ->observations,
            );
            foreach ((new Tracker($plan, $faultSet->only([$fault]), $visit, $memory))->follow($seen) as $i => $step) {
                self::assertTrue(
                    $step->has($fault),
                    "$name: $fault was struck out by entry ".
                        ($i - 1).
                        " of attempt $n: ".
                        json_encode($seen->toArray()['entries'][$i - 1] ?? null),
                );
            }
        }
    }

    /** @return iterable<string, array{string}> seven models, and with all attempts, a thousand, the zones too */
    public static function archetypes(): iterable
    {
        foreach (
            [
                'furnace-80',
                'furnace-standing-pilot',
                'package-direct-spark',
                'boiler-hydronic',
                'mid-position-230',
                'oil-furnace',
                'boiler-simple-230',
                ...(getenv('SPARK_ALL_FAULTS') ? ['zones-hydronic'] : []),
            ] as $name
        ) {
            yield $name => [$name];
        }
    }

    /** The same with every reading as far off as its accuracy class allows, up or down. */
    private function pushed(Observations $seen): Observations
    {
        $push = function (Reading $r, float $from, float $share): Reading {
            if ($r->live || is_infinite($r->value)) {
                return $r;
            }
            $s = $r->mode->specification();
            $off =
                (mt_rand(0, 1) * 2 - 1) *
                $share *
                ($s->share * abs($r->value) + ($r->value == 0.0 ? 0 : $s->counts * $r->step));
            $value = round(($from + $off) / $r->step) * $r->step;

            return new Reading(
                $r->mode,
                $r->mode->isSigned() ? $value : max(0.0, $value),
                $r->step,
                false,
                $r->unsteady,
                $r->low,
            );
        };
        $entries = array_map(
            fn (array $e) => [
                $e[0],
                $e[1]->reading === null
                    ? $e[1]
                    : new Outcome(
                        $e[1]->seen,
                        $push($e[1]->reading, $e[1]->measured->exact ?? $e[1]->reading->value, 0.95),
                        null,
                        $e[1]->refused,
                        $e[1]->dangers,
                    ),
            ],
            $seen->entries,
        );
        $perceived = $seen->perceived;
        foreach ($perceived as $channel => $stretches) {
            if (str_starts_with($channel, 'meter ')) {
                $perceived[$channel] = array_map(
                    fn (array $s) => [
                        $s[0],
                        $s[1],
                        $push(Bag::reading($s[2]), (float) ($s[2]['value'] ?? INF), 0.5)->toArray(),
                    ],
                    $stretches,
                ); // it has noise of its own already
            }
        }

        return new Observations($seen->visit, $entries, $perceived, $seen->until, $seen->complaint);
    }

    /**
     * A panel, so many switches in a row, and a lamp's worth of load back to neutral.
     *
     * @return array{Plan, array<string, array<string, bool>>} by fault ('' for none): which places are fed
     */
    private function string(int $n): array
    {
        $parts = ['panel' => 'supply'];
        $wires = [['panel.L', 's1.line', ['modes' => ['open']]]];
        $order = [['fault' => ['panel:off']], 'panel.L', ['fault' => ['w0:open']], 's1.line'];
        for ($i = 1; $i <= $n; $i++) {
            $parts["s$i"] = 'service-switch';
            $order[] = ['fault' => ["s$i:switched-off", "s$i:stuck-open", "s$i:loose"]];
            $order[] = "s$i.load";
            if ($i < $n) {
                $wires[] = ["s$i.load", 's'.($i + 1).'.line', ['modes' => ['open']]];
                $order[] = ['fault' => ["w$i:open"]];
                $order[] = 's'.($i + 1).'.line';
            }
        }
        $wires[] = ["s$n.load", 'lamp.in', []];
        $wires[] = ['lamp.out', 'panel.N', []];
        $parts['lamp'] = ['kind' => 'splice', 'params' => ['joint' => ['ohm' => 240]]];
        $document = ['process' => ['none' => ['type' => 'still', 'value' => 70]]];
        $model = Fixtures::small($parts, $wires, $document['process']);
        $resolved = $model->document;
        $resolved['kinds']['splice']['modes'] = []; // the lamp does not fail
        unset($resolved['kinds']['supply']['modes']['low'], $resolved['kinds']['supply']['modes']['swapped']);
        $plan = Compiler::compile(new \OddSpark\Appliance\Model($resolved));
        $opens = [];
        $all = array_merge([''], ...array_map(fn ($step) => is_array($step) ? $step['fault'] : [], $order));
        foreach ($all as $fault) {
            $fed = true;
            foreach ($order as $step) {
                if (is_array($step)) {
                    $fed = $fed && ! in_array($fault, $step['fault'], true);
                } else {
                    $opens[$fault][$step] = $fed;
                }
            }
        }

        return [$plan, $opens];
    }
}
