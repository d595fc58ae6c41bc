<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** A healthy cycle of each boiler, step by step. */
final class HealthyCyclesOfBoilersTest extends TestCase
{
    public function test_hot_water_boiler(): void
    {
        $s = TestRig::of('boiler-hydronic')
            ->set('thermostat.set', 50)
            ->run(60)
            ->put('block.water', 150)
            ->set('thermostat.set', 70);
        self::assertLessThan(1, $s->until(fn (TestRig $s) => $s->slot('circulator.motor', 'target') > 0.5, 5));
        self::assertLessThan(6, $s->until(fn (TestRig $s) => $s->isLit('pilot.fire'), 20));
        self::assertGreaterThan(
            0.4,
            $s->until(fn (TestRig $s) => $s->slot('valve.main_coil', 'on'), 20),
            'the main valve only when the pilot is proved',
        );
        self::assertLessThan(3, $s->until(fn (TestRig $s) => $s->isLit(), 10));
        $up = $s->until(fn (TestRig $s) => ! $s->isLit(), 7200);
        self::assertNotNull($up);
        self::assertEqualsWithDelta(
            186,
            $s->value('block.water'),
            1.0,
            'the operating aquastat at its dial and half its differential',
        );
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 3600));
        self::assertEqualsWithDelta(173, $s->value('block.water'), 3.0);
        self::assertTrue($s->slot('high.contact', 'closed'));
    }

    public function test_three_zones(): void
    {
        $s = TestRig::of('zones-hydronic');
        foreach ([1, 2, 3] as $n) {
            $s->set("thermostat-$n.set", 50);
        }
        $s->run(120);
        self::assertFalse($s->slot('panel.ends', 'closed'));
        $s->put('room-2.air', 62)->set('thermostat-2.set', 70);
        $opens = $s->until(fn (TestRig $s) => $s->slot('zv2.end', 'closed'), 120);
        self::assertGreaterThan(15, $opens, '15 to 60 s of travel');
        self::assertLessThan(60, $opens);
        self::assertFalse($s->slot('zv1.end', 'closed'));
        self::assertLessThan(4, $s->until(fn (TestRig $s) => $s->slot('boiler.circulator.motor', 'target') > 0.5, 10));
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit('boiler.burners.fire'), 120));
        $before = [$s->value('room-1.air'), $s->value('room-2.air')];
        $s->run(3600);
        self::assertGreaterThan($before[1] + 1, $s->value('room-2.air'));
        self::assertLessThan($before[0], $s->value('room-1.air'), 'nothing flows through the other zones');
    }

    public function test_simple_boiler_230(): void
    {
        $s = TestRig::of(
            'boiler-simple-230',
        )->set('stat.set', 8)->run(400)->put('block.water', 30)->set('stat.set', 20);
        self::assertLessThan(1, $s->until(fn (TestRig $s) => $s->slot('fan.motor', 'target') > 0.5, 5));
        self::assertGreaterThan(
            0.3,
            $s->until(fn (TestRig $s) => $s->slot('air.contact', 'closed'), 10),
            'air proved after the fan',
        );
        $valve = $s->until(fn (TestRig $s) => $s->slot('valve.coil', 'on'), 30);
        self::assertEqualsWithDelta(8, $valve, 1, 'after its purge');
        self::assertLessThan(2, $s->until(fn (TestRig $s) => $s->isLit(), 5));
        $s->run(60)->set('stat.set', 8)->run(2);
        self::assertFalse($s->isLit());
        self::assertEqualsWithDelta(
            180,
            $s->until(fn (TestRig $s) => $s->slot('pump.motor', 'target') < 0.1, 400),
            5,
            'pump overrun',
        );
    }

    /** The board's own cut-off is at 74 °C, by its kind; the water is not to climb past it, from wherever it starts. */
    public function test_the_simple_boiler_cuts_off_at_its_own_temperature(): void
    {
        foreach (range(46, 61) as $start) {
            $s = TestRig::of('boiler-simple-230')->set('stat.set', 8)->run(60)->put('block.water', $start + 0.3);
            $s->put('room.air', 27)->set('stat.set', 30); // warm rooms take less than the burner gives
            self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 60), "from $start °C");
            self::assertNotNull($s->until(fn (TestRig $s) => ! $s->isLit(), 3000), "from $start °C");
            self::assertEqualsWithDelta(74, $s->value('block.water'), 0.5, "from $start °C");
        }
    }

    public function test_mid_position_system(): void
    {
        $s = TestRig::of('mid-position-230')
            ->set('stat.set', 5)
            ->set('cylinder-stat.set', 40)
            ->put('cylinder.store', 58)
            ->run(300);
        self::assertFalse($s->isLit('boiler.burners.fire'));
        // hot water alone: the valve rests where it is
        $s->put('cylinder.store', 30)->put('boiler.block.water', 40)->set('cylinder-stat.set', 60)->run(40);
        self::assertTrue($s->isLit('boiler.burners.fire'));
        self::assertSame('hot water', $s->machine->shows($s->state, 'three-port.head'));
        self::assertEqualsWithDelta(230, $s->volts('three-port.OG', 'three-port.BU'), 10);
        // both
        $s->set('stat.set', 25)->run(40);
        self::assertSame('both', $s->machine->shows($s->state, 'three-port.head'));
        self::assertSame([1.0, 1.0], [$s->slot('three-port.heating', 'free'), $s->slot('three-port.water', 'free')]);
        // hot water satisfied: all the way over, and its own switch feeds the boiler
        $s->put('cylinder.store', 70)->run(40);
        self::assertSame('heating', $s->machine->shows($s->state, 'three-port.head'));
        self::assertTrue($s->slot('three-port.head', 'full'));
        self::assertEqualsWithDelta(230, $s->volts('three-port.OG', 'three-port.BU'), 10);
        self::assertSame(0.0, $s->slot('three-port.water', 'free'));
        // nothing wanted: it holds on grey, and the boiler is let go
        $s->set('stat.set', 5)->run(40);
        self::assertLessThan(10, $s->volts('three-port.OG', 'three-port.BU'));
        self::assertSame('heating', $s->machine->shows($s->state, 'three-port.head'), 'held while grey is fed');
    }
}
