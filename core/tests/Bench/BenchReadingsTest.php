<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** What a meter shows at the bench, and what comes of it. */
final class BenchReadingsTest extends TestCase
{
    use AtTheFurnace;

    public function test_ghost_volts_stand_on_an_open_conductor(): void
    {
        $this->arrive('w17:open');
        $outcome = $this->do(5, 'leads', ['red' => 'thermostat.W', 'black' => 'thermostat.C']);
        self::assertGreaterThan(20, $outcome->reading?->value, 'the thermostat feeds its own end');
        $this->do(6, 'set', ['part' => 'thermostat', 'lever' => 'mode', 'to' => 'off']);
        $ghost = $this->do(7, 'read')->reading?->value;
        self::assertEqualsWithDelta(3.5, $ghost, 1.0, 'about 3 to 4 V, common practice');
    }

    public function test_a_conductor_loose_at_both_ends_shows_a_ghost_to_a_live_place(): void
    {
        $this->open();
        $this->do(3, 'lift', ['end' => 'w30.a']);
        $this->do(4, 'lift', ['end' => 'w30.b']);
        $ghost = $this->do(5, 'leads', ['red' => 'board.L1', 'black' => 'w30.a'])->reading?->value;
        self::assertGreaterThan(0.3, $ghost);
        self::assertLessThan(12, $ghost);
    }

    public function test_low_impedance_collapses_a_ghost_and_not_a_source(): void
    {
        $this->arrive('w17:open');
        $this->do(1, 'set', ['part' => 'thermostat', 'lever' => 'mode', 'to' => 'off']);
        $this->do(2, 'dial', ['mode' => 'vlz']);
        self::assertLessThan(
            0.1,
            $this->do(7, 'leads', ['red' => 'thermostat.W', 'black' => 'thermostat.C'])->reading?->value,
        );
        self::assertEqualsWithDelta(
            26.7,
            $this->do(8, 'leads', ['red' => 'thermostat.R', 'black' => 'thermostat.C'])->reading?->value,
            1.0,
        );
    }

    public function test_microamps_are_read_in_series_at_the_lifted_rod_wire(): void
    {
        $this->open();
        $this->do(20, 'lift', ['end' => 'w29.a']);
        $this->do(21, 'dial', ['mode' => 'ua']);
        $this->do(22, 'leads', ['red' => 'board.FS', 'black' => 'w29.a']);
        $reading = $this->do(120, 'read')->reading;
        self::assertSame('heat', $this->state->slots['board.control']['state'], 'the meter carries the signal on');
        self::assertEqualsWithDelta(
            3.0,
            abs((float) $reading?->value),
            0.7,
            'two to four microamps are most common, common practice',
        );
    }

    public function test_microamps_across_a_source_blow_the_meters_fuse_until_it_is_replaced(): void
    {
        $this->open();
        $this->do(10, 'dial', ['mode' => 'ua']);
        self::assertSame(['meter-fuse'], $this->do(11, 'leads', ['red' => 'board.R', 'black' => 'board.C'])->dangers);
        self::assertSame(['small'], $this->state->blown);
        self::assertSame('0.0 µA', $this->do(12, 'read')->reading?->text());
        $this->do(13, 'leads', ['red' => null, 'black' => null]);
        $this->do(14, 'meter_fuse');
        self::assertSame([], $this->state->blown);
    }

    public function test_continuity_sounds_through_a_closed_switch_and_not_through_an_open_one(): void
    {
        foreach (['healthy' => '♪', 'limit:stuck-open' => 'OL'] as $fault => $shown) {
            $this->arrive($fault);
            $this->do(1, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
            $this->do(2, 'door', ['to' => 'open']);
            $this->do(3, 'lift', ['end' => 'w20.b']);
            $this->do(4, 'dial', ['mode' => 'beep']);
            self::assertStringContainsString(
                $shown,
                (string) $this->do(5, 'leads', ['red' => 'limit.a', 'black' => 'limit.b'])->reading?->text(),
            );
        }
    }

    public function test_a_voltmeter_on_the_rod_takes_the_flame_signal_down_by_about_a_third(): void
    {
        $this->open();
        $this->do(120, 'wait');
        $microamps = fn () => $this->bench
            ->machine()
            ->solution($this->state)
            ->dcVolts(Fixtures::furnace()->places['board.GND'], Fixtures::furnace()->places['board.FS']) / 4.7;
        $alone = $microamps();
        $this->do(121, 'dial', ['mode' => 'vdc']);
        $this->do(122, 'leads', ['red' => 'rod.rod', 'black' => 'screw.screw']);
        // 10 MΩ beside the 4.7 MΩ over which the control senses takes 32 % of the current; the flame, a stiff
        // source, gives some of it back
        self::assertEqualsWithDelta(0.70, $microamps() / $alone, 0.04);
    }

    public function test_the_same_seed_reads_the_same_and_another_may_not(): void
    {
        $read = fn (int $seed) => Attempt::run(
            Fixtures::furnace(),
            Fixtures::universe()->get('healthy'),
            Fixtures::log(Fixtures::limitTrace(), $seed),
            'cold',
            new Memory(),
        )->observations->toArray();
        self::assertSame($read(3), $read(3));
        self::assertNotSame($read(3)['entries'], $read(4)['entries']);
    }
}
