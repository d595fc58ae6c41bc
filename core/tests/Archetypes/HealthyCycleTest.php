<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Each archetype's healthy cycle: every load in its turn, within the times of the trade (common practice, no source).
 */
final class HealthyCycleTest extends TestCase
{
    /** Each so-manieth fault of every model is met in every run of the tests, all of them in ./spark check. */
    private const EACH = 12;

    public function test_standing_pilot_furnace(): void
    {
        $s = TestRig::of('furnace-standing-pilot')->set('thermostat.set', 50);
        self::light($s);
        self::assertTrue($s->slot('valve.magnet', 'on'), 'the pilot holds by itself after about a minute');
        self::assertEqualsWithDelta(
            13,
            1000 * $s->dc('valve.core', 'valve.sheath'),
            3.5,
            'about half of 30 mV on its coil',
        );
        self::assertFalse($s->isLit());
        $s->set('thermostat.set', 70);
        self::assertLessThan(2.0, $s->until(fn (TestRig $s) => $s->isLit(), 30));
        $fan = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 300);
        self::assertGreaterThan(20, $fan, 'not before the air is warm, near 130 °F');
        self::assertLessThan(120, $fan);
        $s->run(600)->set('thermostat.set', 50)->run(1);
        self::assertFalse($s->isLit());
        $off = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') < 0.1, 600);
        self::assertGreaterThan(10, $off, 'the fan takes the rest of the heat');
        self::assertTrue($s->isLit('pilot-burner.fire'));
    }

    public function test_package_unit_with_direct_spark(): void
    {
        $s = TestRig::of('package-direct-spark', ['thermostat.mode.at' => 'off'])
            ->run(60)
            ->set('thermostat.mode', 'heat');
        self::assertLessThan(5, $s->until(fn (TestRig $s) => $s->slot('pressure.contact', 'closed'), 20));
        $spark = $s->until(fn (TestRig $s) => $s->slot('module.gap', 'free') > 0.5, 30);
        self::assertEqualsWithDelta(10, $spark, 1.0, 'some ten seconds of wait');
        $gas = $s->until(fn (TestRig $s) => $s->slot('valve.coil', 'on'), 30);
        self::assertEqualsWithDelta(3, $gas, 0.5, 'gas three to four seconds later');
        self::assertLessThan(2, $s->until(fn (TestRig $s) => $s->isLit(), 6));
        $s->run(3);
        self::assertSame('run', $s->slot('module.control', 'state'));
        self::assertEqualsWithDelta(0.0, $s->volts('module.TR', 'module.VC'), 0.01, 'joined inside');
        self::assertLessThan(40, $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 60));
        $s->run(400)->set('thermostat.mode', 'off')->run(2);
        self::assertFalse($s->isLit());
        $off = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') < 0.1, 200);
        self::assertEqualsWithDelta(90, $off, 5);
    }

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
        $s = TestRig::of('boiler-simple-230')->set('stat.set', 8)->run(400)->put('block.water', 30)->set('stat.set', 20);
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

    public function test_oil_furnace(): void
    {
        $s = TestRig::of('oil-furnace')->set('thermostat.set', 50)->run(60)->set('thermostat.set', 70);
        self::assertLessThan(1, $s->until(fn (TestRig $s) => $s->slot('motor.motor', 'target') > 0.5, 5));
        self::assertTrue($s->slot('ignition.primary', 'on') || $s->run(0.1)->slot('ignition.primary', 'on'));
        self::assertEqualsWithDelta(
            15,
            $s->until(fn (TestRig $s) => $s->slot('oil-valve.coil', 'on'), 30),
            1,
            'valve-on delay',
        );
        self::assertLessThan(2, $s->until(fn (TestRig $s) => $s->isLit('nozzle.fire'), 10));
        self::assertLessThan(
            1600,
            $s->machine->solution($s->state)->dcOhms($s->plan->places['cell.1'], $s->plan->places['cell.2']),
            'the cell in its flame',
        );
        self::assertEqualsWithDelta(100, $s->value('pump-port'), 1.5);
        $s->run(15);
        self::assertFalse($s->slot('ignition.primary', 'on'), 'interrupted once the flame stands');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 200));
        $s->run(600)->set('thermostat.set', 50)->run(2);
        self::assertFalse($s->isLit('nozzle.fire'));
        self::assertTrue($s->slot('motor.motor', 'target') > 0.5, 'the motor runs on');
        self::assertEqualsWithDelta(28, $s->until(fn (TestRig $s) => $s->slot('motor.motor', 'target') < 0.1, 60), 3);
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_a_healthy_appliance_is_found_working_and_its_universe_is_fit(string $name): void
    {
        $plan = TestRig::plan($name);
        $faultSet = FaultSet::of($plan->model);
        foreach ($plan->model->visits() as $visit) {
            $arrival = (new Bench($plan, $faultSet->get('healthy'), new Memory()))->arrive($visit);
            self::assertSame(['works'], array_column($arrival->complaint, 'id'), "$name, $visit");
        }
        $families = array_count_values(array_map(fn ($f) => $f->family, array_values($faultSet->faults)));
        self::assertGreaterThanOrEqual(40, count($faultSet->faults));
        self::assertLessThanOrEqual(
            0.4 * count($faultSet->faults),
            $families['wires'],
            'wires together no likelier than the parts',
        );
        $weights = array_map(fn ($f) => $f->weight, $faultSet->faults);
        $wires = array_sum(
            array_intersect_key($weights, array_filter($faultSet->faults, fn ($f) => $f->family === 'wires')),
        );
        self::assertLessThan(array_sum($weights) / 2, $wires);
    }

    #[DataProvider('models')]
    public function test_every_fault_can_be_met_and_none_buzzes(string $name): void
    {
        $plan = TestRig::plan($name);
        $memory = new Memory();
        $visit = $plan->model->visits()[0];
        $n = 0;
        foreach (FaultSet::of($plan->model)->faults as $id => $fault) {
            if (getenv('SPARK_ALL_FAULTS') === false && $n++ % self::EACH !== 0) {
                continue;
            }
            $bench = new Bench($plan, $fault, $memory);
            $state = $bench->arrive($visit)->state;
            $state = $bench->resume($state);
            $state = $bench->advance($state, 120_000);
            foreach ($state->slots as $primitive => $slot) {
                self::assertFalse($slot['buzz'] ?? false, "$primitive buzzes under $id");
            }
            self::assertNotSame([], $bench->record->until(120_000), $id);
        }
    }

    #[DataProvider('models')]
    public function test_the_same_run_is_the_same_to_the_bit_and_in_any_order_of_parts(string $name): void
    {
        $document = TestRig::plan($name)->model->document;
        $run = function (array $d): array {
            $plan = \OddSpark\Appliance\Compiler::compile(new \OddSpark\Appliance\Model($d));
            $m = new Machine($plan, [], new Memory());
            $slots = $m->advance($m->settle($m->initial()), 1_800_000)->slots;
            ksort($slots);

            return $slots;
        };
        $first = $run($document);
        self::assertSame($first, $run($document));
        $document['parts'] = array_reverse($document['parts']);
        $document['process'] = array_reverse($document['process'], true);
        self::assertEquals(array_map(self::rounded(...), $first), array_map(self::rounded(...), $run($document)));
    }

    /** Courses to a billionth: another order of summing rounds otherwise in the last place. */
    private static function rounded(mixed $x): mixed
    {
        return is_array($x) ? array_map(self::rounded(...), $x) : (is_float($x) ? round($x, 6) : $x);
    }

    public static function light(TestRig $s): void
    {
        $s->set('valve.knob', 'pilot')
            ->set('pilot-burner.match', 'held to it')
            ->set('valve.button', 'pushed')
            ->run(5)
            ->set('pilot-burner.match', 'away')
            ->run(60)
            ->set('valve.button', 'out')
            ->run(5)
            ->set('valve.knob', 'on')
            ->run(60);
    }
}
