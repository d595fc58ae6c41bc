<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Tests\AtTheBench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Further situations of the equipment, each from the trade. */
final class EquipmentCallsTest extends TestCase
{
    use AtTheBench;
    use ManyModels;

    public function test_a_tube_heater_on_a_crossed_cord_burns_for_eight_seconds(): void
    {
        $s = TestRig::withFault('tube-heater', 'cord:swapped');
        $s->until(fn (TestRig $s) => $s->isLit('burner.fire'), 120);
        $burned = $s->until(fn (TestRig $s) => ! $s->isLit('burner.fire'), 30);
        self::assertEqualsWithDelta(8, $burned, 1.2);
        self::assertGreaterThan(100, $s->volts('board.N', 'screw.screw'));
    }

    public function test_a_tube_heater_is_tried_with_its_lid_on(): void
    {
        $s = TestRig::withFault('tube-heater-two-switch', 'tube:sooted')->run(30);
        self::assertFalse($s->slot('exhaust.contact', 'closed'), 'the switch that is made at rest opens on a nest');
        self::assertTrue($s->slot('box.contact', 'closed'));
    }

    public function test_a_generator_that_is_fed_and_does_not_spark_is_dead_and_one_that_is_not_fed_is_not(): void
    {
        foreach (['generator:dead' => true, 'board:spark-dead' => false] as $fault => $isFed) {
            $s = TestRig::withFault('combi-230', $fault);
            $s->until(fn (TestRig $s) => $s->slot('board.control', 'state') === 'h_trial', 60);
            $s->run(1);
            self::assertSame($isFed, $s->volts('generator.L', 'generator.N') > 200, $fault);
            self::assertSame('', $s->machine->shows($s->state, 'generator.gap'), $fault);
        }
    }

    public function test_a_contactor_pushed_by_hand_tells_the_high_side_from_the_low(): void
    {
        foreach (['float:open' => 'full', 'compressor:run-open' => 'stopped'] as $fault => $band) {
            $this->arrive('heat-cool-split', $fault, 'warm');
            $this->do('door', ['to' => 'open', 'door' => 'condenser']);
            $this->do('push', ['part' => 'contactor', 'to' => 'in']);
            $this->wait(4);
            self::assertSame($band, $this->state->slots['compressor.motor']['band'], $fault);
        }
    }

    public function test_r_and_y_joined_does_nothing_when_the_fuse_is_gone_and_the_condenser_stays_live(): void
    {
        $this->arrive('heat-cool-split', 'furnace.fuse:blown', 'warm');
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        $this->wait(10);
        self::assertLessThan(1, $this->read('vac', 'furnace.board.R', 'furnace.board.Y'), 'near nothing, made or dead');
        $this->do('jump', ['from' => 'furnace.board.R', 'to' => 'furnace.board.Y']);
        self::assertFalse($this->state->slots['contactor.coil']['on']);
        self::assertGreaterThan(220, $this->read('vac', 'contactor.L1', 'contactor.L2'), 'line power stands outdoors');
    }

    public function test_a_float_switch_makes_a_dark_thermostat_and_a_living_control(): void
    {
        $s = TestRig::withFault('furnace-condensing', 'float:stuck-up')->run(30);
        self::assertSame('blank', $s->machine->shows($s->state, 'thermostat.logic'));
        self::assertSame('steady', $s->slot('board.control', 'lamp'));
        self::assertGreaterThan(24, $s->volts('board.R', 'board.C'));
    }

    public function test_condensate_in_the_collector_box_lifts_the_float_before_it_drowns_the_switch(): void
    {
        $s = TestRig::withFault('furnace-condensing', 'drain:blocked');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 120), 'it begins');
        self::assertNotNull($s->until(fn (TestRig $s) => ! $s->slot('float.contact', 'closed'), 3600));
        self::assertTrue($s->slot('pressure.diaphragm', 'made'));
        $bridged = TestRig::of(
            'furnace-condensing',
            $this->faults('furnace-condensing', 'drain:blocked', 'float:bridged'),
        );
        self::assertNotNull($bridged->until(fn (TestRig $s) => $s->isLit(), 120));
        self::assertNotNull(
            $bridged->until(fn (TestRig $s) => ! $s->slot('pressure.diaphragm', 'made'), 7200),
            'with the float bridged the pressure switch is the last that stops it',
        );
    }

    public function test_a_module_that_fails_warm_is_well_again_after_the_power_has_been_off(): void
    {
        $s = TestRig::withFault('boiler-constant-pilot', 'module:warm');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 120), 'it runs when it is cool');
        $s->put('room.air', 30);
        $isGone = fn (TestRig $s): bool => $s->slot('module.control', 'kept') === 'warm';
        self::assertNotNull($s->until($isGone, 7200), 'and fails warm');
        $s->run(60);
        self::assertTrue($s->isLit('pilot.fire'), 'the pilot stands: its solenoid is fed past the module');
        self::assertFalse($s->isLit());
        self::assertLessThan(1, $s->volts('valve.MV', 'valve.COM'));
        $s->run(3600)->set('service.lever', 'off')->run(10)->set('service.lever', 'on');
        self::assertNotNull(
            $s->until(fn (TestRig $s) => $s->isLit(), 120),
            'whoever cuts the power has no fault to find',
        );
    }

    public function test_low_water_puts_out_the_pilot_too_where_the_string_feeds_its_solenoid(): void
    {
        $s = TestRig::of('boiler-constant-pilot')->run(120);
        self::assertTrue($s->isLit('pilot.fire'));
        $s->put('block.level', 0.2)->run(10);
        self::assertFalse($s->isLit('pilot.fire'));
    }

    public function test_ghost_volts_on_an_open_zone_wire(): void
    {
        $this->arrive('zones-circulators');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'boiler.service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('lift', ['end' => 'w18.a']);
        $this->do('set', ['part' => 'boiler.service', 'lever' => 'lever', 'to' => 'on']);
        $high = $this->read('vac', 'w18.a', 'relay-2.X2');
        $low = $this->read('vlz', 'w18.a', 'relay-2.X2');
        self::assertLessThan(0.2 * max($high, 1.0) + 0.2, $low, 'a ghost falls when it is asked to carry something');
    }

    public function test_three_ohms_of_contact_count_where_half_a_volt_drives_a_coil(): void
    {
        // E 600 mV, 3 Ω pile, 3 Ω coil (derived): good 286 mV on the coil, 194 over 3 Ω, 110 over 10, 68 over 20
        foreach ([[0.05, 286], [3.0, 194], [10.0, 110], [20.0, 68]] as [$ohm, $millivolts]) {
            $s = TestRig::of('wall-heater-millivolt', ['thermostat.contact.ohm' => $ohm, 'limit.contact.ohm' => 0.01]);
            $s->set('valve.knob', 'pilot')->set('pilot-burner.match', 'held to it')->set('valve.button', 'pushed');
            $s->run(180);
            $at = 1000 * abs($s->dc('valve.TH', 'valve.TP'));
            self::assertEqualsWithDelta($millivolts, $at, 0.12 * $millivolts, "$ohm ohms");
        }
    }
}
