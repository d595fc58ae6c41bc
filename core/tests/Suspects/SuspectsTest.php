<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Bench\Observations;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Classes;
use OddSpark\Suspects\Comparison;
use OddSpark\Suspects\Evidence;
use OddSpark\Suspects\Suspects;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class SuspectsTest extends TestCase
{
    private static ?Classes $classes = null;

    public function test_the_universe_is_wide_enough_and_not_all_wires(): void
    {
        $faults = Fixtures::universe()->faults;
        $families = array_count_values(array_map(fn ($f) => $f->family, array_values($faults)));
        self::assertGreaterThanOrEqual(12, count($families) - 1);
        self::assertLessThanOrEqual(count($faults) / 3, $families['wires']);
    }

    public function test_brute_force_finds_many_classes_and_what_only_time_or_ohms_can_tell(): void
    {
        $classes = self::$classes ??= new Classes(new Evidence(Fixtures::furnace(), Fixtures::universe(), 'cold'));
        self::assertGreaterThanOrEqual(40, count($classes->all()));
        self::assertSame(
            [
                ['healthy', 'board:blower-off-early'],
                ['board:flame-input-dead', 'board:trial-short'],
                ['board:blower-off-early', 'board:inducer-relay-hangs'],
                ['board:blower-off-early', 'limit:stuck-closed'],
                ['board:blower-off-early', 'valve:set-high@some'],
                ['board:blower-off-early', 'valve:set-low'],
                ['board:blower-off-early', 'thermostat:reads-warm'],
            ],
            array_values($classes->pairsByWhen()),
            'what is told apart by when it happens alone',
        );
        self::assertGreaterThanOrEqual(5, count($classes->pairsByOhms()));
        self::assertFalse($classes->apart('pressure:stuck-open', 'pressure:high-set'));
        self::assertTrue($classes->apart('transformer:primary-open', 'transformer:secondary-open'));
    }

    public function test_an_open_limit_found_cold_is_alone_after_three_readings(): void
    {
        [$steps, $seen] = $this->follow('limit:stuck-open', 'cold', Fixtures::limitTrace());
        self::assertSame(['limit:stuck-open'], array_keys(end($steps)->weights));
        // its valve stands at 0 V with draught proved
        $attempt = Attempt::run(Fixtures::furnace(), Fixtures::universe()->get('limit:stuck-open'), Fixtures::log([
            ['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held'],
            ['at_s' => 30, 'act' => 'leads', 'red' => 'valve.MV', 'black' => 'valve.MVC'],
        ]), 'cold', new Memory());
        self::assertTrue($attempt->state->slots['pressure.contact']['closed']);
        self::assertLessThan(0.1, $attempt->observations->entries[2][1]->reading?->value);
        self::assertCount(3, array_filter($seen->entries, fn (array $e) => $e[1]->reading !== null));
    }

    public function test_the_same_found_hot_leaves_the_airflow_until_it_is_looked_at(): void
    {
        [$steps] = $this->follow('limit:stuck-open', 'hot', Fixtures::limitTrace());
        $left = array_keys(end($steps)->weights);
        self::assertContains('limit:stuck-open', $left);
        self::assertNotSame(
            [],
            array_filter($left, fn ($f) => str_starts_with($f, 'filter:')),
            'the filter is still possible',
        );
        [$steps] = $this->follow('limit:stuck-open', 'hot', [
            ...Fixtures::limitTrace(),
            ['at_s' => 60, 'act' => 'look', 'part' => 'filter'],
            ['at_s' => 70, 'act' => 'look', 'part' => 'registers'],
        ]);
        self::assertSame(
            [],
            array_filter(
                array_keys(end($steps)->weights),
                fn ($f) => str_starts_with($f, 'filter:') || str_starts_with($f, 'registers:'),
            ),
        );
    }

    public function test_the_true_fault_is_never_eliminated(): void
    {
        $faults = array_keys(Fixtures::universe()->faults);
        mt_srand(7);
        $memory = new Memory();
        for ($n = 0; $n < 60; $n++) {
            $fault = $faults[mt_rand(0, count($faults) - 1)];
            $visit = $n % 2 ? 'hot' : 'cold';
            $kit = new Kit(lowBattery: $n % 5 === 0, wornLeads: $n % 3 === 0);
            $seen = Attempt::run(
                Fixtures::furnace(),
                Fixtures::universe()->get($fault),
                Fixtures::log($this->acts(), 1000 + $n),
                $visit,
                $memory,
                kit: $kit,
            )->observations;
            foreach (
                (new Tracker(
                    Fixtures::furnace(),
                    Fixtures::universe()->only([$fault]),
                    $visit,
                    $memory,
                ))->follow($seen) as $i => $step
            ) {
                self::assertTrue(
                    $step->has($fault),
                    "$fault was struck out by entry ".
                        ($i - 1).
                        " of attempt $n: ".
                        json_encode($seen->toArray()['entries'][$i - 1] ?? null),
                );
            }
        }
    }

    public function test_acts_in_one_and_the_same_moment_do_not_strike_the_truth_out(): void
    {
        $memory = new Memory();
        foreach (array_keys(Fixtures::universe()->faults) as $fault) {
            $seen = Attempt::run(
                Fixtures::furnace(),
                Fixtures::universe()->get($fault),
                Fixtures::log(
                    [
                        ['at_s' => 0, 'act' => 'look', 'part' => 'thermostat'],
                        ['at_s' => 0, 'act' => 'look', 'part' => 'board'],
                        ['at_s' => 0, 'act' => 'door', 'to' => 'open'],
                        ['at_s' => 0, 'act' => 'hold', 'to' => 'held'],
                        ['at_s' => 0, 'act' => 'leads', 'red' => 'board.IND', 'black' => 'board.N'],
                        ['at_s' => 50, 'act' => 'read'],
                        ['at_s' => 50, 'act' => 'look', 'part' => 'burners'],
                        ['at_s' => 50, 'act' => 'hold', 'to' => 'released'],
                        ['at_s' => 50, 'act' => 'door', 'to' => 'shut'],
                        ['at_s' => 50, 'act' => 'look', 'part' => 'board'],
                        ['at_s' => 80, 'act' => 'look', 'part' => 'board'],
                    ],
                    77,
                ),
                'cold',
                $memory,
            )->observations;
            foreach (
                (new Tracker(
                    Fixtures::furnace(),
                    Fixtures::universe()->only([$fault]),
                    'cold',
                    $memory,
                ))->follow($seen) as $step
            ) {
                self::assertTrue($step->has($fault), $fault);
            }
        }
    }

    /**
     * Acts drawn at random, door off and switch held, with every instrument there is.
     *
     * @return list<array<string, mixed>>
     */
    private function acts(): array
    {
        $model = Fixtures::furnace()->model;
        $places = array_keys(Fixtures::furnace()->places);
        $parts = array_column($model->document['parts'], 'id');
        $wires = array_keys($model->wires());
        $one = fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
        $entries = [['at_s' => 1.0, 'act' => 'door', 'to' => 'open'], ['at_s' => 2.0, 'act' => 'hold', 'to' => 'held']];
        $t = 3.0;
        for ($i = 0; $i < 12; $i++) {
            $t += mt_rand(500, 30_000) / 1000;
            $entries[] =
                ['at_s' => $t] +
                match (mt_rand(0, 11)) {
                    0 => ['act' => 'look', 'part' => $one($parts)],
                    1 => [
                        'act' => 'dial',
                        'mode' => $one(['vac', 'vdc', 'vlz', 'mvdc', 'ohm', 'beep', 'uf', 'hz', 'ua', 'ma', 'aac']),
                    ],
                    2 => ['act' => 'dial', 'mode' => 'vac', 'range' => $one([6, 60, 600])],
                    3 => ['act' => 'clamp', 'wires' => [$one($wires), $one($wires)], 'turns' => mt_rand(1, 10)],
                    4 => ['act' => 'tester', 'place' => $one($places)],
                    5 => ['act' => 'gauge', 'tap' => 'hose-tee'],
                    6 => ['act' => 'probe', 'tap' => $one(['supply-air', 'room-air'])],
                    7 => ['act' => 'keep', 'to' => $one(['on', 'off'])],
                    8 => ['act' => 'lift', 'end' => $one($wires).'.'.$one(['a', 'b'])],
                    9 => ['act' => 'read'],
                    default => ['act' => 'leads', 'red' => $one($places), 'black' => $one($places)],
                };
        }

        return $entries;
    }

    public function test_one_entry_more_from_a_snapshot_is_what_the_whole_log_gives(): void
    {
        [$steps, $seen] = $this->follow('limit:stuck-open', 'hot', [
            ...Fixtures::limitTrace(),
            ['at_s' => 60, 'act' => 'look', 'part' => 'filter'],
            ['at_s' => 90, 'act' => 'read'],
        ]);
        $tracker = new Tracker(Fixtures::furnace(), Fixtures::universe(), 'hot');
        $tracker->begin($seen);
        foreach (array_keys($seen->entries) as $i) {
            $kept = json_decode((string) json_encode($tracker->snapshot(), JSON_PRESERVE_ZERO_FRACTION), true);
            $tracker = new Tracker(Fixtures::furnace(), Fixtures::universe(), 'hot', new Memory());
            $tracker->resume($kept);
            self::assertEquals($steps[$i + 1], $tracker->step($seen, $i), "entry $i");
        }
    }

    public function test_observations_survive_the_file(): void
    {
        [$steps, $seen] = $this->follow('igniter:cracked', 'cold', Fixtures::limitTrace());
        $again = Observations::fromArray((array) json_decode((string) json_encode($seen->toArray()), true));
        $same = (new Tracker(Fixtures::furnace(), Fixtures::universe(), 'cold'))->follow($again);
        self::assertEquals(end($steps)->weights, end($same)->weights);
    }

    public function test_passive_readings_in_any_order_leave_the_same(): void
    {
        $scene = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held']];
        $read = fn (int $t, string $place) => ['at_s' => $t, 'act' => 'leads', 'red' => $place, 'black' => 'board.C'];
        [$one] = $this->follow('w20:open', 'cold', [
            ...$scene,
            $read(40, 'limit.a'),
            $read(45, 'board.LIM-OUT'),
            $read(50, 'board.RO-IN'),
        ]);
        [$other] = $this->follow('w20:open', 'cold', [
            ...$scene,
            $read(40, 'board.RO-IN'),
            $read(45, 'limit.a'),
            $read(50, 'board.LIM-OUT'),
        ]);
        self::assertEquals(end($one)->weights, end($other)->weights);
    }

    public function test_entropy_is_shannons(): void
    {
        self::assertEqualsWithDelta(2.0, (new Suspects(['a' => 1, 'b' => 1, 'c' => 1, 'd' => 1]))->entropy(), 1e-12);
        self::assertEqualsWithDelta(0.811278, (new Suspects(['a' => 3, 'b' => 1]))->entropy(), 1e-6);
        self::assertSame(0.0, (new Suspects([]))->entropy());
    }

    public function test_moments_are_compared_as_a_person_knows_them(): void
    {
        $c = new Comparison([0]);
        $off = fn (int $until) => ['lamp' => [[0, $until, 'off'], [$until, 60_000, 'on']]];
        self::assertTrue($c->agrees($off(20_000), $off(21_900)));
        self::assertFalse($c->agrees($off(20_000), $off(25_000)));
        self::assertFalse(
            $c->agrees(['lamp' => [[0, 60_000, 'off']]], $off(30_000)),
            'what could have been seen and was not',
        );
    }

    /**
     * @param list<array<string, mixed>> $entries
     * @return array{list<Suspects>, Observations}
     */
    private function follow(string $fault, string $visit, array $entries): array
    {
        $memory = new Memory();
        $seen = Attempt::run(
            Fixtures::furnace(),
            Fixtures::universe()->get($fault),
            Fixtures::log($entries),
            $visit,
            $memory,
        )->observations;

        return [(new Tracker(Fixtures::furnace(), Fixtures::universe(), $visit, $memory))->follow($seen), $seen];
    }
}
