<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Tests\AtTheBench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** What the trade tells of each kind of equipment, as it is met at the bench. Common practice, no source. */
final class EquipmentTest extends TestCase
{
    use AtTheBench;
    use ManyModels;

    public function test_a_jammed_two_port_valve_calls_for_ever_and_lets_go_when_its_head_comes_off(): void
    {
        $this->arrive('two-valve-230', 'hw-valve:jammed-open');
        foreach (['ch', 'hw'] as $lever) {
            $this->do('set', ['part' => 'programmer', 'lever' => $lever, 'to' => 'off']);
        }
        $this->wait(60);
        self::assertEqualsWithDelta(235, $this->read('vac', 'hw-valve.OG', 'hw-valve.BU'), 15, 'orange stays live');
        self::assertLessThan(20, $this->read('vac', 'hw-valve.BN', 'hw-valve.BU'), 'though nothing drives it');
        self::assertLessThan(20, $this->read('vac', 'ch-valve.BN', 'ch-valve.BU'));
        $this->do('leads', ['red' => null, 'black' => null]);
        $this->do('set', ['part' => 'boiler.spur', 'lever' => 'lever', 'to' => 'off']);
        $this->do('head', ['part' => 'hw-valve', 'to' => 'off']);
        $this->do('set', ['part' => 'boiler.spur', 'lever' => 'lever', 'to' => 'on']);
        $this->wait(30);
        self::assertLessThan(20, $this->read('vac', 'hw-valve.OG', 'hw-valve.BU'), 'its spring drives it home');
    }

    public function test_behind_the_jammed_valve_lies_the_switch_that_should_have_driven_it(): void
    {
        $s = TestRig::of('two-valve-230', $this->faults('two-valve-230', 'hw-valve:jammed-open', 'programmer:hw-dead'));
        $s->run(120);
        self::assertGreaterThan(
            200,
            $s->volts('hw-valve.OG', 'hw-valve.BU'),
            'hot water is made: nobody misses the switch',
        );
        $repaired = TestRig::of('two-valve-230', $this->faults('two-valve-230', 'programmer:hw-dead'));
        $repaired->put('cylinder.store', 30)->run(120);
        self::assertLessThan(20, $repaired->volts('hw-valve.BN', 'hw-valve.BU'), 'with a new head it shows');
        self::assertSame(0.0, $repaired->slot('hw-valve.way', 'free'));
    }

    public function test_a_thermopile_that_opens_when_hot_climbs_and_falls_to_nothing(): void
    {
        $this->arrive('water-heater-thermopile', 'pile:opens-hot');
        $this->lightWaterHeater();
        $this->do('plug', ['part' => 'plug', 'to' => 'off']);
        $this->do('dial', ['mode' => 'mvdc']);
        $this->do('leads', ['red' => 'pile.plus', 'black' => 'pile.minus']);
        $this->wait(5);
        $climbs = $this->do('read')->reading->value ?? 0.0;
        self::assertGreaterThan(60, $climbs);
        $this->wait(60);
        self::assertLessThan(5, abs($this->do('read')->reading->value ?? INF));
        self::assertLessThan(1, $this->read('ohm', 'cut-off.a', 'cut-off.b'), 'and the cut-off is good');
    }

    /** R + E/I or R − E/I: half a volt at a milliampere is five hundred ohms more or less (derived). */
    public function test_ohms_on_a_hot_thermopile_depend_on_which_lead_is_where(): void
    {
        $this->arrive('water-heater-thermopile');
        $this->lightWaterHeater();
        $this->wait(60);
        $this->do('plug', ['part' => 'plug', 'to' => 'off']);
        $there = $this->read('ohm', 'pile.plus', 'pile.minus');
        $back = $this->read('ohm', 'pile.minus', 'pile.plus');
        self::assertGreaterThan(100, abs($there - $back), 'of a part of three ohms');
    }

    public function test_by_dc_a_closed_switch_has_one_sign_on_both_sides_and_an_open_one_two(): void
    {
        foreach (['healthy' => 1, 'pressure:stuck-open' => -1] as $fault => $sign) {
            $this->arrive('furnace-valve-ignition', $fault);
            $this->do('door', ['to' => 'open']);
            $this->do('hold', ['to' => 'held']);
            $this->wait(40);
            $one = $this->read('vdc', 'valve.PS1', 'valve.COM');
            $other = $this->read('vdc', 'valve.PS2', 'valve.COM');
            self::assertSame($sign, ($one <=> 0.0) * ($other <=> 0.0), "$fault: $one and $other V");
        }
    }

    public function test_a_rusted_burner_takes_the_flame_current_and_no_flame(): void
    {
        foreach (['healthy' => true, 'burners:rusted' => false] as $fault => $isSensed) {
            $s = TestRig::withFault('furnace-condensing', $fault);
            $s->until(fn (TestRig $s) => $s->isLit(), 200);
            $s->run(2.5);
            self::assertTrue($s->isLit(), 'there is a flame');
            self::assertSame($isSensed, $s->slot('board.control', 'in')['flame'], $fault);
        }
    }

    public function test_a_hose_of_the_collector_box_that_leaks_drips_and_weakens_its_suction(): void
    {
        $suction = $seen = [];
        foreach (['healthy', 'exchanger:hose-leaks'] as $fault) {
            $s = TestRig::withFault('furnace-condensing', $fault);
            $s->run(300);
            $suction[] = $s->slot('hose.bore', 'to');
            $seen[] = $s->machine->shows($s->state, 'exchanger.puddle');
        }
        self::assertSame(['', 'fills'], $seen);
        self::assertGreaterThan($suction[0], $suction[1], 'less of a vacuum');
    }

    public function test_an_option_switch_set_for_another_thermostat_keeps_the_second_stage_waiting(): void
    {
        foreach (['healthy' => 'high_heat', 'board:switch-wrong' => 'low_heat'] as $fault => $state) {
            $s = TestRig::withFault('furnace-two-stage', $fault);
            $s->run(300);
            self::assertGreaterThan(22, $s->volts('board.W2', 'board.C'), 'it calls for both');
            self::assertSame($state, $s->slot('board.control', 'state'), $fault);
        }
        $s = TestRig::withFault('furnace-two-stage', 'board:switch-wrong');
        $s->run(900);
        self::assertSame('high_heat', $s->slot('board.control', 'state'), 'eleven minutes later, and stays there');
    }

    public function test_a_gnawed_cable_leaves_its_far_end_on_the_conductor_beside_it(): void
    {
        $s = TestRig::withFault('unit-heater', 'w08:gnawed');
        $s->run(60);
        self::assertLessThan(1, $s->volts('thermostat.R', 'transformer.X2'), 'nothing comes through');
        $s = TestRig::withFault('unit-heater', 'w08:touches');
        $s->set('thermostat.set', 40)->run(60);
        self::assertGreaterThan(22, $s->volts('thermostat.W', 'transformer.X2'), 'bare, it calls for ever');
    }

    public function test_a_two_stage_valve_is_fed_in_the_seconds_of_the_trial_and_not_at_all_with_its_coil_gone(): void
    {
        $s = TestRig::withFault('furnace-two-stage', 'meter:no-gas');
        $s->until(fn (TestRig $s) => $s->slot('board.control', 'state') === 'trial', 120);
        $s->run(1);
        self::assertEqualsWithDelta(26, $s->volts('valve.LO', 'valve.C'), 2.5);
        self::assertLessThan(0.5, $s->volts('valve.HI', 'valve.C'), 'the second stage comes later');
        $ends = $s->until(fn (TestRig $s) => $s->slot('board.control', 'state') !== 'trial', 30);
        self::assertEqualsWithDelta(5, $ends, 1.5);
        self::assertLessThan(0.5, $s->volts('valve.LO', 'valve.C'), 'a few tenths over a whole coil');

        $without = TestRig::of('furnace-two-stage')->lift('w26.b')->run(120);
        self::assertSame('valve_fault', $without->slot('board.control', 'state'), 'it makes no try');
        self::assertEqualsWithDelta(3.5, $without->volts('w26.b', 'valve.C'), 1.5, 'feedback, and nothing');
    }

    public function test_the_second_stage_alone_passes_no_gas(): void
    {
        $s = TestRig::withFault('furnace-two-stage', 'w26:swapped')->run(60);
        self::assertFalse($s->isLit());
    }

    public function test_the_fifth_valve_sags_a_small_transformer(): void
    {
        $volts = [];
        foreach ([4, 5] as $valves) {
            $s = TestRig::of('zones-five', ['transformer.windings.secondary_ohm' => 2.4]);
            $s->set('tank-stat.set', $valves === 5 ? 155 : 90)->set('panel.jumper', 'no priority');
            foreach ([1, 2, 3, 4] as $n) {
                $s->set("thermostat-$n.set", 85);
            }
            $volts[$valves] = $s->run(90)->volts('panel.R', 'panel.C');
        }
        self::assertGreaterThan(0.4, $volts[4] - $volts[5], 'each valve takes its share');
        self::assertLessThan(24, $volts[5]);
    }

    public function test_hot_water_goes_first_and_takes_the_valves_from_the_zones(): void
    {
        $s = TestRig::of('zones-five')->set('tank-stat.set', 155)->run(60);
        self::assertGreaterThan(20, $s->volts('zv5.M1', 'zv5.M2'));
        self::assertLessThan(1, $s->volts('zv1.M1', 'zv1.M2'));
        $s->set('tank-stat.set', 90)->run(60);
        self::assertGreaterThan(20, $s->volts('zv1.M1', 'zv1.M2'));
    }

    /** Two secondaries of 24 V, tied hot to hot out of phase, stand 48 V apart. */
    public function test_two_transformers_out_of_phase_on_a_common_r(): void
    {
        $volts = [];
        foreach ([['panel.C', 'panel.R'], ['panel.R', 'panel.C']] as [$joined, $other]) {
            $this->arrive('zones-air');
            $this->do('door', ['to' => 'open']);
            $this->do('hold', ['to' => 'held']);
            $this->do('jump', ['from' => 'furnace.board.C', 'to' => $joined]);
            $volts[] = $this->read('vac', 'furnace.board.R', $other);
        }
        self::assertLessThan(2, $volts[0], 'in phase there is next to nothing between the two');
        self::assertEqualsWithDelta(52, $volts[1], 6, 'out of phase there is twice the volts');
    }

    private function lightWaterHeater(): void
    {
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'valve', 'lever' => 'knob', 'to' => 'pilot']);
        $this->do('set', ['part' => 'pilot-burner', 'lever' => 'match', 'to' => 'pressed']);
        $this->do('set', ['part' => 'valve', 'lever' => 'button', 'to' => 'pushed']);
        $this->wait(3);
        $this->do('set', ['part' => 'pilot-burner', 'lever' => 'match', 'to' => 'still']);
    }
}
