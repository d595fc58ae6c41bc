<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Meter\Clamp;
use OddSpark\Run\BenchState;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** Each instrument on the furnace: what it shows, and how it goes wrong the way it does in life. */
final class InstrumentsTest extends TestCase
{
    use MeterAtFurnace;

    public function test_a_clamp_reads_one_conductor_and_nothing_round_two_that_go_there_and_back(): void
    {
        $this->do(70, 'wait');
        $one = $this->shown(71, 'clamp', ['wires' => ['w03']]);
        self::assertGreaterThan(1.0, $one, 'inducer and transformer at least');
        self::assertLessThan(0.02, $this->shown(72, 'clamp', ['wires' => ['w03', 'w04']]), 'line and neutral cancel');
        self::assertSame([1, 1], Clamp::ways(Fixtures::furnace()->model, ['w03', 'w04']));
        self::assertEqualsWithDelta(2 * $one, $this->shown(73, 'clamp', ['wires' => ['w03'], 'turns' => 2]), 0.05);
    }

    public function test_ten_turns_show_what_a_small_valve_draws_and_that_its_coil_is_whole(): void
    {
        $this->do(60, 'wait');
        $amps = $this->shown(61, 'clamp', ['wires' => ['w27'], 'turns' => 10]) / 10;
        // by hand: 24 V over the coil's 26 + 52j Ω
        self::assertEqualsWithDelta(25.6 / hypot(26, 52), $amps, 0.03);
        $this->open('valve:coil-open');
        self::assertLessThan(0.05, $this->shown(60, 'clamp', ['wires' => ['w27'], 'turns' => 10]), 'volts and no amps');
    }

    public function test_amps_in_series_agree_with_the_clamp(): void
    {
        $this->do(20, 'lift', ['end' => 'w33.a']);
        $this->do(21, 'dial', ['mode' => 'aac']);
        $this->do(22, 'leads', ['red' => 'board.IND', 'black' => 'w33.a']);
        $series = $this->shown(40, 'read');
        self::assertEqualsWithDelta(120 / hypot(70, 60), $series, 0.05, 'the inducer by its impedance');
        self::assertEqualsWithDelta($series, $this->shown(41, 'clamp', ['wires' => ['w33']]), 0.02);
    }

    public function test_milliamps_taken_for_microamps_show_nothing_of_a_flame(): void
    {
        $this->do(20, 'lift', ['end' => 'w29.a']);
        $this->do(21, 'dial', ['mode' => 'ma']);
        $this->do(22, 'leads', ['red' => 'board.FS', 'black' => 'w29.a']);
        self::assertEqualsWithDelta(0.0, $this->shown(120, 'read'), 0.02);
        $this->do(121, 'dial', ['mode' => 'ua']);
        self::assertGreaterThan(1.8, abs($this->shown(122, 'read')));
    }

    public function test_microamps_in_parallel_from_rod_to_ground_show_what_the_control_feeds_and_not_the_flame(): void
    {
        $this->do(120, 'wait');
        $this->do(121, 'dial', ['mode' => 'ua']);
        $lit = $this->shown(122, 'leads', ['red' => 'rod.rod', 'black' => 'screw.screw']);
        $this->do(123, 'set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'off']);
        // 100 Ω to ground hold the rod's AC down to a millivolt, and with it all that rectifies
        self::assertLessThan(0.2, abs($lit), 'of 3 µA in series');
    }

    public function test_most_is_kept_of_an_igniter_that_is_fed_for_seconds(): void
    {
        $this->open('igniter:cracked');
        $this->do(3, 'leads', ['red' => 'igniter.1', 'black' => 'igniter.2']);
        $this->do(4, 'keep', ['to' => 'on']);
        $reading = $this->do(900, 'read')->reading;
        self::assertLessThan(5, $reading?->value);
        self::assertEqualsWithDelta(120, $reading?->most, 3);
        self::assertStringContainsString('most 12', (string) $reading?->text());
        self::assertNull($this->do(901, 'keep', ['to' => 'off'])->reading?->most);
    }

    public function test_a_display_lags_a_change_by_a_moment(): void
    {
        $this->do(3, 'leads', ['red' => 'board.IND', 'black' => 'board.N']);
        $at = null;
        $probe = $this->bench->watch($this->state, 30_000, function (BenchState $s) use (&$at): bool {
            $at = $s->slots['board.inducer_relay']['closed'] ? $s->now() : null;

            return $at !== null;
        });
        self::assertNotNull($at, 'the inducer is called');
        $soon = $this->shown($at / 1000 + 0.1, 'read');
        self::assertGreaterThan(20, $soon);
        self::assertLessThan(110, $soon);
        self::assertEqualsWithDelta(120, $this->shown($at / 1000 + 1, 'read'), 2);
        self::assertNotSame([], $probe);
    }

    public function test_a_manometer_at_the_tee_and_a_thermometer_in_the_plenum(): void
    {
        [$this->bench, $this->state] = Fixtures::bench();
        $this->do(1, 'door', ['to' => 'open']);
        $this->do(15, 'wait');
        self::assertEqualsWithDelta(0.0, $this->shown(16, 'gauge', ['tap' => 'hose-tee']), 0.01);
        $this->do(17, 'hold', ['to' => 'held']);
        self::assertEqualsWithDelta(
            1.25,
            $this->shown(55, 'read', ['of' => 'gauge']),
            0.03,
            'three times what the switch asks, with the inducer running',
        );
        $cold = $this->shown(56, 'probe', ['tap' => 'supply-air']);
        self::assertGreaterThan($cold + 40, $this->shown(400, 'read', ['of' => 'probe']));
        self::assertStringContainsString('no tap', (string) $this->do(401, 'gauge', ['tap' => 'supply-air'])->refused);
        self::assertStringContainsString(
            'not on anything',
            (string) $this->do(402, 'read', ['of' => 'clamp'])->refused,
        );
    }

    public function test_a_non_contact_tester_lights_on_line_volts_and_lies(): void
    {
        self::assertSame('lights', $this->do(3, 'tester', ['place' => 'board.L1'])->seen['tester']);
        self::assertSame('stays dark', $this->do(4, 'tester', ['place' => 'board.N'])->seen['tester']);
        self::assertSame(
            'stays dark',
            $this->do(5, 'tester', ['place' => 'board.R'])->seen['tester'],
            '24 V is below what it feels, and live',
        );
        $this->open('n-nut:open');
        self::assertSame(
            'lights',
            $this->do(3, 'tester', ['place' => 'board.N'])->seen['tester'],
            'a neutral that has come off stands at line volts through the load',
        );
    }

    public function test_hertz_tell_a_supply_from_nothing(): void
    {
        $this->do(3, 'dial', ['mode' => 'hz']);
        self::assertSame(
            '60.0 Hz',
            $this->do(4, 'leads', ['red' => 'board.L1', 'black' => 'board.N'])->reading?->text(),
        );
        self::assertSame(
            '0.0 Hz',
            $this->do(5, 'leads', ['red' => 'board.N', 'black' => 'board.GND'])->reading?->text(),
        );
    }
}
