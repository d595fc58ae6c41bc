<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Lines\Trace;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\OtherNames;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a mark must not depend on, and what must never raise it. */
final class FairnessTest extends TestCase
{
    /** @return iterable<string, array{string}> attempts on the furnace */
    public static function attempts(): iterable
    {
        $some = ['furnace-limit-good', 'furnace-hose-sucked'];
        $more = ['furnace-igniter-early', 'furnace-short-good', 'furnace-filter-cause-left'];
        foreach (getenv('SPARK_ALL_FAULTS') ? [...$some, ...$more] : $some as $name) {
            yield $name => [$name];
        }
    }

    public function test_volts_across_an_open_switch_are_no_ghost_and_those_of_a_loose_conductor_are(): void
    {
        $open = Marking::accountOfFurnace('pressure:stuck-open', [
            ['at_s' => 2, 'act' => 'door', 'to' => 'open'],
            ['at_s' => 4, 'act' => 'hold', 'to' => 'held'],
            ['at_s' => 60, 'act' => 'leads', 'red' => 'pressure.C', 'black' => 'pressure.NO'],
        ]);
        self::assertGreaterThan(20, $open->outcome(2)->reading->value);
        self::assertArrayNotHasKey('ghost', $open->steps[2]->flaws);

        $loose = Marking::accountOfFurnace('w17:open', [
            ['at_s' => 5, 'act' => 'set', 'part' => 'thermostat', 'lever' => 'mode', 'to' => 'off'],
            ['at_s' => 9, 'act' => 'leads', 'red' => 'thermostat.W', 'black' => 'thermostat.C'],
        ]);
        self::assertGreaterThan(2.0, $loose->outcome(1)->reading->value);
        self::assertArrayHasKey('ghost', $loose->steps[1]->flaws);
    }

    #[DataProvider('attempts')]
    public function test_the_mark_is_the_same_whatever_the_parts_are_called(string $name): void
    {
        $worked = Marking::worked($name);
        [$plan, $as] = OtherNames::furnace(23);
        $entries = $worked['entries'];
        foreach ($entries as $i => $entry) {
            $names = [
                'part',
                'red',
                'black',
                'end',
                'from',
                'fault',
                ...str_ends_with($entry['act'], 'jump') ? ['to'] : [],
            ];
            foreach (array_intersect($names, array_keys($entry)) as $field) {
                $entries[$i][$field] = $entry[$field] === null ? null : $as($entry[$field]);
            }
        }
        $faultSet = FaultSet::of($plan->model);
        $seen = Attempt::run(
            $plan,
            $faultSet->get($as($worked['fault'])),
            Fixtures::log($entries, 7),
            $worked['visit'],
            new Memory(),
        )->observations;
        self::assertSame(
            array_fill(0, count($entries), null),
            array_map(fn (array $e) => $e[1]->refused, $seen->entries),
        );
        $ours = Marker::of(Marking::accountOf($worked))->mark(Marking::rules());
        $theirs = Marking::mark($plan, $faultSet, $as($worked['fault']), $seen);
        self::assertSame(
            [$ours->verdict, $ours->passed(), $ours->callBack],
            [$theirs->verdict, $theirs->passed(), $theirs->callBack],
        );
        foreach ($ours->lines as $line) {
            // noise goes by names, marks do not
            self::assertEqualsWithDelta($line->share, $theirs->line($line->id)->share, 0.01, $line->id);
        }
    }

    public function test_a_useless_reading_never_raises_the_trace_wherever_it_is_put(): void
    {
        $worked = Marking::worked('furnace-limit-good');
        $plain = $this->trace($worked['entries']);
        $useless = 0;
        foreach ([6, 7, 8, 9] as $at) {
            foreach (
                [
                    ['panel.L', 'panel.N'],
                    ['rollout-l.a', 'rollout-l.b'],
                    ['capacitor.1', 'capacitor.2'],
                    ['board.C', 'transformer.X2'],
                ] as [$red, $black]
            ) {
                $entries = $worked['entries'];
                $time = $entries[$at]['at_s'] - 1;
                array_splice($entries, $at, 0, [['at_s' => $time, 'act' => 'leads', 'red' => $red, 'black' => $black]]);
                $account = Marking::accountOf(['entries' => $entries] + $worked);
                if ($account->steps[$at]->told() > 0.02) {
                    continue; // it did tell something
                }
                $useless++;
                self::assertLessThanOrEqual(
                    $plain + 1e-9,
                    (new Trace())->judge($account, Marking::rules())->share,
                    "$red to $black before entry $at",
                );
            }
        }
        self::assertGreaterThan(8, $useless);
    }

    public function test_what_an_unsafe_act_showed_earns_nothing(): void
    {
        $base = [...array_slice(Fixtures::limitTrace(), 0, 6)];
        $live = [
            ...$base,
            ['at_s' => 20, 'act' => 'dial', 'mode' => 'ohm'],
            ['at_s' => 25, 'act' => 'leads', 'red' => 'limit.a', 'black' => 'limit.b'],
        ];
        $account = Marking::accountOfFurnace('limit:stuck-open', $live);
        self::assertGreaterThan(0.5, $account->steps[7]->told(), 'that it is live there tells that the limit is open');
        self::assertSame(0.0, Trace::questions($account)[7]);
        $jumped = Marking::accountOfFurnace('limit:stuck-open', [
            ...$base,
            ['at_s' => 20, 'act' => 'jump', 'from' => 'limit.a', 'to' => 'limit.b'],
            ['at_s' => 60, 'act' => 'wait'],
        ]);
        self::assertSame(0.0, Trace::questions($jumped)[6]);
    }

    public function test_the_same_log_always_gets_the_same_mark(): void
    {
        $mark = fn (): Mark => Marker::of(Marking::accountOf(Marking::worked('furnace-rod-amps-parallel')))->mark(
            Marking::rules('journeyman'),
        );
        self::assertSame(json_encode($mark()->toArray()), json_encode($mark()->toArray()));
    }

    /** @param list<array<string, mixed>> $entries */
    private function trace(array $entries): float
    {
        return Marking::ofFurnace('limit:stuck-open', $entries)->line('trace')->share;
    }
}
