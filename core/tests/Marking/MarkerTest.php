<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Debrief;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MarkerTest extends TestCase
{
    private const TRUTH = 'limit:stuck-open';

    public function test_a_good_hand_passes(): void
    {
        $mark = $this->mark($this->good());
        self::assertSame('proved', $mark->verdict);
        self::assertTrue($mark->passed());
        self::assertGreaterThan(90, $mark->total());
    }

    public function test_a_lucky_guess_is_right_and_still_a_guess(): void
    {
        $mark = $this->mark([['at_s' => 3, 'act' => 'name', 'fault' => self::TRUTH]]);
        self::assertContains($mark->verdict, ['supported', 'guess']);
        self::assertSame(1.0, $this->share($mark, 'finding'));
        self::assertFalse($mark->passed());
    }

    public function test_a_name_that_is_out_is_contradicted(): void
    {
        $mark = $this->mark([...Fixtures::limitTrace(), ['at_s' => 60, 'act' => 'name', 'fault' => 'igniter:cracked']]);
        self::assertSame('contradicted', $mark->verdict);
        self::assertSame(0.0, $this->share($mark, 'reasoning') + $this->share($mark, 'finding'));
    }

    public function test_an_unsafe_act_never_passes_and_earns_nothing_by_what_it_showed(): void
    {
        $entries = $this->good();
        array_splice($entries, 9, 0, [
            ['at_s' => 52, 'act' => 'lift', 'end' => 'w07.a'],
            ['at_s' => 53, 'act' => 'land', 'end' => 'w07.a'],
        ]);
        $mark = $this->mark($entries);
        self::assertLessThan(1, $this->share($mark, 'safety'));
        self::assertFalse($mark->passed());
    }

    public function test_a_useless_reading_never_raises_the_trace(): void
    {
        $entries = Fixtures::limitTrace();
        $before = $this->share($this->mark($entries), 'trace');
        array_splice($entries, 6, 0, [['at_s' => 20, 'act' => 'leads', 'red' => 'panel.G', 'black' => 'panel.N']]);
        self::assertLessThan($before, $this->share($this->mark($entries), 'trace'));
    }

    public function test_parts_replaced_without_proof_cost(): void
    {
        $entries = $this->good();
        array_splice($entries, 12, 0, [['at_s' => 70.5, 'act' => 'mend', 'part' => 'valve', 'how' => 'replace']]);
        self::assertLessThan(
            $this->share($this->mark($this->good()), 'repair'),
            $this->share($this->mark($entries), 'repair'),
        );
    }

    public function test_a_part_that_the_fault_took_along_is_not_a_part_replaced_without_reason(): void
    {
        $plan = TestRig::plan('boiler-hydronic');
        $faultSet = FaultSet::of($plan->model)->only([
            'healthy',
            'module:shorted',
            'module:dead',
            'transformer:primary-open',
        ]);
        $lever = ['act' => 'set', 'part' => 'breaker', 'lever' => 'handle'];
        $seen = fn (string $second) => Attempt::run(
            $plan,
            $faultSet->get('module:shorted'),
            Fixtures::log([
                ['at_s' => 1, 'act' => 'door', 'to' => 'open'],
                ['at_s' => 2, 'to' => 'off'] + $lever,
                ['at_s' => 3, 'act' => 'mend', 'part' => 'module', 'how' => 'replace'],
                ['at_s' => 4, 'act' => 'mend', 'part' => $second, 'how' => 'replace'],
                ['at_s' => 5, 'to' => 'on'] + $lever,
                ['at_s' => 6, 'act' => 'hand_back'],
            ]),
            'cold',
            new Memory(),
        )->observations;
        $repair = fn (string $second) => Marking::mark($plan, $faultSet, 'module:shorted', $seen($second));
        self::assertSame(1.0, $this->share($repair('transformer'), 'repair'));
        self::assertEqualsWithDelta(0.6, $this->share($repair('relay'), 'repair'), 1e-9);
    }

    /** @return iterable<string, array{string, list<array<string, mixed>>, float}> fault, acts, share of the repair */
    public static function repairs(): iterable
    {
        $spare = fn (string $which) => ['act' => 'spare', 'part' => 'limit', 'spare' => $which];
        yield 'the right spare' => ['limit:stuck-open', [$spare('200 °F')], 1.0];
        yield 'a wrong spare' => ['limit:stuck-open', [$spare('160 °F')], 0.0];
        yield 'a wrong spare, then the right one' => ['limit:stuck-open', [$spare('160 °F'), $spare('200 °F')], 0.6];
        yield 'an earlier jumper taken off' => [
            'limit:bridged',
            [['act' => 'unjump', 'from' => 'limit.b', 'to' => 'limit.a']],
            1.0,
        ];
        yield 'a new limit under an earlier jumper' => [
            'limit:bridged',
            [['act' => 'mend', 'part' => 'limit', 'how' => 'replace']],
            0.0,
        ];
        yield 'a lever set right by hand' => [
            'thermostat:set-to-off',
            [['act' => 'set', 'part' => 'thermostat', 'lever' => 'mode', 'to' => 'heat']],
            1.0,
        ];
        yield 'a lever set right and wrong again' => [
            'thermostat:set-to-off',
            [
                ['act' => 'set', 'part' => 'thermostat', 'lever' => 'mode', 'to' => 'heat'],
                ['act' => 'set', 'part' => 'thermostat', 'lever' => 'mode', 'to' => 'off'],
            ],
            0.0,
        ];
        yield 'swapped wires' => ['w36:swapped', [['act' => 'mend', 'part' => 'w36', 'how' => 'set']], 1.0];
        $compound = 'capacitor:weak@4.5+filter:blocked@half';
        $replace = fn (string $part) => ['act' => 'mend', 'part' => $part, 'how' => 'replace'];
        yield 'both of a compound' => [$compound, [$replace('filter'), $replace('capacitor')], 1.0];
        yield 'one of a compound taken for the only one' => [$compound, [$replace('filter')], 0.0];
        yield 'both of a compound, and a sound part' => [
            $compound,
            [$replace('filter'), $replace('valve'), $replace('capacitor')],
            0.6,
        ];
        yield 'nothing wrong, nothing done' => ['healthy', [], 1.0];
        yield 'nothing wrong, a part replaced' => [
            'healthy',
            [['act' => 'mend', 'part' => 'valve', 'how' => 'replace']],
            0.6,
        ];
    }

    /** @param list<array<string, mixed>> $acts */
    #[DataProvider('repairs')]
    public function test_a_repair_is_what_it_made_of_the_appliance(string $fault, array $acts, float $share): void
    {
        $plan = Fixtures::furnace();
        $faultSet = Fixtures::universe()->only(['healthy', 'igniter:cracked', $fault]);
        $entries = [
            ['at_s' => 1, 'act' => 'set', 'part' => 'breaker', 'lever' => 'handle', 'to' => 'off'],
            ['at_s' => 2, 'act' => 'door', 'to' => 'open'],
        ];
        foreach ($acts as $i => $act) {
            $entries[] = ['at_s' => 3 + $i] + $act;
        }
        $seen = Attempt::run($plan, $faultSet->get($fault), Fixtures::log($entries), 'cold', new Memory())
            ->observations;
        self::assertSame(
            [null],
            array_values(array_unique(array_map(fn (array $e) => $e[1]->refused, $seen->entries))),
        );
        $mark = Marking::mark($plan, $faultSet, $fault, $seen);
        self::assertEqualsWithDelta($share, $this->share($mark, 'repair'), 1e-9);
    }

    public function test_the_same_log_always_gets_the_same_mark(): void
    {
        self::assertEquals($this->mark($this->good())->toArray(), $this->mark($this->good())->toArray());
    }

    public function test_every_sentence_points_into_the_log(): void
    {
        $entries = $this->good();
        foreach ($this->mark($entries)->lines as $line) {
            self::assertNotSame([], $line->why, $line->id);
            foreach ($line->why as $why) {
                self::assertTrue($why['entry'] === null || isset($entries[$why['entry']]));
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private function good(): array
    {
        return [
            ...Fixtures::limitTrace(),
            ['at_s' => 60, 'act' => 'name', 'fault' => self::TRUTH],
            ['at_s' => 65, 'act' => 'hold', 'to' => 'released'],
            ['at_s' => 70, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
            ['at_s' => 72, 'act' => 'mend', 'part' => 'limit', 'how' => 'replace'],
            ['at_s' => 80, 'act' => 'door', 'to' => 'shut'],
            ['at_s' => 82, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'on'],
            ['at_s' => 260, 'act' => 'hand_back'],
        ];
    }

    /** @param list<array<string, mixed>> $entries */
    private function mark(array $entries): Mark
    {
        return Marking::ofFurnace(self::TRUTH, $entries);
    }

    private function share(Mark $mark, string $line): float
    {
        return $mark->line($line)->share;
    }

    /**
     * Whatever was done, the mark is made, under all rules: no act is one that some judge does not know what to do
     * with.
     */
    public function test_every_act_there_is_can_be_marked(): void
    {
        $places = ['valve.MV', 'valve.MVC', 'board.C', 'board.R'];
        $entries = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held']];
        $at = 2;
        foreach (array_diff(array_keys(Catalogue::all()), ['hand_back', 'hint']) as $name) {
            $act = ['at_s' => ++$at, 'act' => $name];
            foreach (Catalogue::all()[$name]::fields() as $field => $asked) {
                $type = ((array) ($asked->schema['type'] ?? ''))[0];
                $act[$field] = match (true) {
                    isset($asked->schema['enum']) => $asked->schema['enum'][0],
                    $type === 'array' => [$asked->names === 'wire' ? 'w27' : 'valve'],
                    $asked->names === 'part' => 'valve',
                    $asked->names === 'place' => $places[$field === 'black' || $field === 'to' ? 1 : 0],
                    $asked->names === 'end' => 'w27.b',
                    $asked->names === 'tap' => 'hose-tee',
                    in_array($type, ['number', 'integer'], true) => max(3, $asked->schema['minimum'] ?? 3),
                    $field === 'fault' => 'valve:coil-open',
                    default => 'x',
                };
            }
            $entries[] = $act;
        }
        $entries[] = ['at_s' => ++$at, 'act' => 'hand_back'];
        $faults = Fixtures::universe()->only(['healthy', 'valve:coil-open', 'igniter:cracked', 'w27:open']);
        $seen = Attempt::run(
            Fixtures::furnace(),
            $faults->get('valve:coil-open'),
            Fixtures::log($entries),
            'cold',
            new Memory(),
        )->observations;
        $account = Marking::account(Fixtures::furnace(), $faults, 'valve:coil-open', $seen);
        $all = ['weights' => array_fill_keys(Rules::LINES, 10), 'own_sheet' => true];
        foreach (['first-year', 'journeyman', 'examination'] as $rules) {
            $mark = Marker::of($account)->mark(Marking::rules($rules, $all));
            self::assertCount(count(Rules::LINES), $mark->lines);
            self::assertCount(count($entries), (new Debrief($account))->toArray()['entries']);
        }
    }
}
