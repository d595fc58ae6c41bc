<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** The mistakes that trainees make: each made here, each shows what it shows in life, and each is in the log. */
final class MistakesTest extends TestCase
{
    private Bench $bench;

    /** @var array<string, mixed> */
    private BenchState $state;

    public function test_dc_on_an_alternating_circuit_shows_near_nothing(): void
    {
        $this->arrive('healthy');
        $this->do(10, 'dial', ['mode' => 'vdc']);
        $reading = $this->do(11, 'leads', ['red' => 'board.R', 'black' => 'board.C'])->reading;
        self::assertSame('vdc', $reading?->mode->key());
        self::assertEqualsWithDelta(0.0, $reading->value, 0.05);
    }

    public function test_ac_on_the_rod_while_it_heats_is_not_its_current(): void
    {
        $this->arrive('healthy');
        $volts = $this->do(130, 'leads', ['red' => 'rod.rod', 'black' => 'screw.screw'])->reading?->value;
        self::assertGreaterThan(
            50,
            $volts,
            '50 to 180 V AC stand on it whenever the control is powered, common practice',
        );
        self::assertLessThan(180, $volts);
    }

    public function test_igniter_volts_taken_from_one_wire_to_the_chassis_hide_an_open_neutral(): void
    {
        $this->arrive('w31:open');
        self::assertEqualsWithDelta(
            120,
            $this->do(45, 'leads', ['red' => 'igniter.1', 'black' => 'screw.screw'])->reading?->value,
            4,
        );
        self::assertLessThan(
            10,
            $this->do(46, 'leads', ['red' => 'igniter.1', 'black' => 'igniter.2'])->reading?->value,
            'across the two it is not fed',
        );
    }

    public function test_volts_asked_for_outside_their_seconds_are_not_there(): void
    {
        $this->arrive('igniter:cracked');
        self::assertLessThan(1, $this->do(20, 'leads', ['red' => 'valve.MV', 'black' => 'valve.MVC'])->reading?->value);
        self::assertEqualsWithDelta(26, $this->do(54, 'read')->reading?->value, 2, 'in the trial they are');
        self::assertLessThan(1, $this->do(64, 'read')->reading?->value);
    }

    public function test_a_closed_switch_and_one_that_neither_side_feeds_both_show_nothing(): void
    {
        $this->arrive('w22:open');
        self::assertLessThan(
            0.1,
            $this->do(10, 'leads', ['red' => 'rollout-r.a', 'black' => 'rollout-r.b'])->reading?->value,
        );
        self::assertLessThan(
            0.5,
            $this->do(11, 'leads', ['red' => 'rollout-r.a', 'black' => 'board.C'])->reading?->value,
            'one side to common says which',
        );
    }

    public function test_continuity_through_a_parallel_path_calls_an_open_switch_closed(): void
    {
        // the end switches of three zones lie side by side
        $this->arrive('zv1:end-open', 'zones-hydronic');
        $this->do(60, 'set', ['part' => 'boiler.service', 'lever' => 'lever', 'to' => 'off']);
        $this->do(61, 'dial', ['mode' => 'beep']);
        self::assertStringContainsString(
            '♪',
            (string) $this->do(61.2, 'leads', ['red' => 'zv1.E1', 'black' => 'zv1.E2'])->reading?->text(),
        );
        $this->do(62, 'lift', ['end' => 'w11.b']);
        self::assertStringContainsString(
            'OL',
            (string) $this->do(63, 'leads', ['red' => 'zv1.E1', 'black' => 'zv1.E2'])->reading?->text(),
        );
    }

    public function test_suction_makes_a_pressure_switch_without_any_draught_and_is_told(): void
    {
        $this->arrive('inducer:open');
        $volts = function (float $at): float {
            $this->do($at, 'leads', ['red' => 'pressure.NO', 'black' => 'board.C']);

            return (float) $this->do($at + 3, 'read')->reading?->value;
        };
        self::assertLessThan(2, $volts(20));
        self::assertSame(['suction'], $this->do(24, 'suck', ['part' => 'pressure', 'to' => 'on'])->dangers);
        self::assertGreaterThan(20, $volts(25), 'it says that the switch is whole, and nothing of the draught');
        $this->do(29, 'suck', ['part' => 'pressure', 'to' => 'off']);
        self::assertLessThan(2, $volts(30));
        self::assertStringContainsString(
            'no port',
            (string) $this->do(34, 'suck', ['part' => 'limit', 'to' => 'on'])->refused,
        );
    }

    public function test_fuel_left_on_through_trial_after_trial_is_told_and_shutting_the_cock_is_not(): void
    {
        $trials = function (bool $shut): array {
            $this->arrive('igniter:cracked');
            $dangers = [];
            if ($shut) {
                $this->do(1, 'set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'shut']);
            }
            for ($s = 10; $s < 1500; $s += 300) {
                // each loss of power begins a new set of trials
                $dangers = [
                    ...$dangers,
                    ...$this->do($s, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off'])->dangers,
                ];
                $this->do($s + 5, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'on']);
            }

            return $dangers;
        };
        self::assertContains('gas-trials', $trials(false));
        self::assertNotContains('gas-trials', $trials(true));
    }

    public function test_ohms_on_a_live_circuit_and_hands_on_line_volts_are_told(): void
    {
        $this->arrive('healthy');
        $this->do(10, 'dial', ['mode' => 'ohm']);
        self::assertSame(
            ['ohms-on-live'],
            $this->do(11, 'leads', ['red' => 'board.L1', 'black' => 'board.N'])->dangers,
        );
        self::assertSame(['live-work'], $this->do(12, 'mend', ['part' => 'inducer', 'how' => 'replace'])->dangers);
        self::assertSame(['live-work'], $this->do(13, 'plug', ['part' => 'board', 'to' => 'off'])->dangers);
    }

    public function test_a_tripped_rollout_reset_again_and_again_is_told_each_time(): void
    {
        $this->arrive('exchanger:cracked');
        $told = 0;
        for ($i = 0; $i < 3; $i++) {
            $outcomes = [
                $this->do(10 + 300 * $i, 'reset', ['part' => 'rollout-l']),
                $this->do(11 + 300 * $i, 'reset', ['part' => 'rollout-r']),
            ];
            $told += count(array_filter($outcomes, fn (Outcome $o) => $o->dangers === ['rollout-reset']));
            $this->do(12 + 300 * $i, 'hold', ['to' => 'released']);
            $this->do(13 + 300 * $i, 'hold', ['to' => 'held']);
            $this->do(290 + 300 * $i, 'wait');
        }
        self::assertGreaterThanOrEqual(3, $told);
    }

    public function test_a_fuse_replaced_with_its_cause_left_blows_again(): void
    {
        $this->arrive('w17:rubs');
        $this->do(5, 'fuse', ['part' => 'fuse', 'amps' => 3]);
        $this->do(30, 'wait');
        self::assertFalse($this->state->slots['fuse.element']['whole']);
    }

    public function test_a_part_replaced_without_proof_changes_nothing(): void
    {
        $this->arrive('w27:open');
        $this->do(3, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do(4, 'mend', ['part' => 'board', 'how' => 'replace']);
        $this->do(5, 'mend', ['part' => 'valve', 'how' => 'replace']);
        $this->do(6, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'on']);
        $this->do(120, 'wait');
        self::assertFalse($this->state->slots['burners.fire']['lit']);
    }

    public function test_what_is_left_behind_is_told_at_the_hand_back(): void
    {
        $this->arrive('healthy');
        $this->do(5, 'jump', ['from' => 'board.R', 'to' => 'board.W']);
        $this->do(6, 'lift', ['end' => 'w26.a']);
        $this->do(7, 'fuse', ['part' => 'fuse', 'amps' => 10]);
        $this->do(8, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertEqualsCanonicalizing(
            ['door-switch-held', 'door-open', 'wire-lifted', 'jumper-left', 'over-fused', 'power-off'],
            $this->do(9, 'hand_back')->dangers,
        );
    }

    private function arrive(string $fault, string $model = 'furnace-80'): void
    {
        $plan = TestRig::plan($model);
        $this->bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $this->state = $this->bench->arrive('cold')->state;
        $this->state = $this->bench->resume($this->state);
        $this->do(1, 'door', ['to' => 'open']);
        $this->do(2, 'hold', ['to' => 'held']);
    }

    /** @param array<string, mixed> $with */
    private function do(float $s, string $name, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($s, $name, $with));

        return $outcome;
    }
}
