<?php

declare(strict_types=1);

namespace OddSpark\Tests\Process;

use OddSpark\Parts\Surroundings;
use OddSpark\Tests\TestRig;
use OddSpark\Trade\Fuel;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The physical half of the shipped models, each line with its formula or its source. */
final class PhysicsTest extends TestCase
{
    /** @param array<string, mixed> $set */
    private static function burning(array $set = [], float $seconds = 900, string $model = 'furnace-80'): TestRig
    {
        return TestRig::of($model, $set)->run($seconds);
    }

    private static function at(TestRig $s, string $id, string $key): float
    {
        return (float) (new Surroundings($s->state->tick, $s->state->slots))->follow($id, $key);
    }

    // Gas

    /** Bernoulli: flow goes with the root of the pressure across the orifice. */
    #[DataProvider('manifolds')]
    public function test_gas_flow_goes_with_the_root_of_the_manifold_pressure(float $manifold, float $share, int $clock): void
    {
        $s = self::burning(['valve.body.set' => $manifold, 'meter.main.pressure' => 14, 'limit.contact.stuck' => 'closed'], 90);
        self::assertEqualsWithDelta($share, self::at($s, 'burners.orifice', 'share'), 0.01);
        self::assertEqualsWithDelta($share * 80000, self::at($s, 'burners.fire', 'heat'), 900);
        self::assertEqualsWithDelta($clock, $s->value('meter.dial'), 1.0, 'seconds a cubic foot of 1020 Btu');
    }

    /** @return iterable<string, array{float, float, int}> derived: √(p ÷ 3.5); 3600 s × 1020 ÷ 80,000 ÷ that */
    public static function manifolds(): iterable
    {
        yield '1.2 in.' => [1.2, 0.59, 78];
        yield '3.5 in.' => [3.5, 1.0, 46];
        yield '7.0 in.' => [7.0, 1.41, 33];
    }

    public function test_an_overfired_furnace_warms_its_air_accordingly(): void
    {
        $rise = function (float $set): float {
            $s = self::burning(['valve.body.set' => $set, 'meter.main.pressure' => 14, 'limit.contact.stuck' => 'closed'], 800);

            return $s->value('supply-duct') - $s->value('return-duct');
        };
        self::assertEqualsWithDelta(1.41, $rise(7.0) / $rise(3.5), 0.09, 'a hotter exchanger takes a little less');
        self::assertEqualsWithDelta(0.59, $rise(1.2) / $rise(3.5), 0.05);
    }

    /** ASHRAE Fundamentals: Btu/h = 1.08 × CFM × °F; 64,000 Btu/h in 1300 CFM are 45.6 °F. */
    public function test_the_rise_out_of_sight_of_the_exchanger_is_heat_over_air(): void
    {
        $s = self::burning([], 1000);
        $heat = 1.08 * self::at($s, 'exchanger.air_side', 'q') * ($s->value('supply-duct') - $s->value('return-duct'));
        self::assertEqualsWithDelta(64000, $heat, 4000);
        self::assertEqualsWithDelta(45.6, $s->value('supply-duct') - $s->value('return-duct'), 3.0);
        self::assertGreaterThan($s->value('supply-duct') + 10, $s->value('supply-air'), 'at the limit the hot wall is felt');
    }

    public function test_inlet_low_orifice_webbed_and_regulator_high_show_where_they_should(): void
    {
        $low = self::burning(['meter.main.pressure' => 2.5], 120);
        self::assertLessThan(2.6, $low->value('gas-inlet'));
        self::assertLessThan(2.5, $low->value('manifold'));
        $webbed = self::burning(['burners.orifice.free' => 0.55], 120);
        self::assertEqualsWithDelta(3.5, $webbed->value('manifold'), 0.05, 'the manifold does not tell it');
        self::assertEqualsWithDelta(0.55, self::at($webbed, 'burners.orifice', 'share'), 0.02, 'the meter does');
        self::assertGreaterThan($low->value('meter.dial') * 0.5, $webbed->value('meter.dial'));
    }

    /** √(Δp ÷ specific gravity) × heating value, against natural gas: 1.5 times at 3.5 in., 2.7 at 10.5. */
    public function test_propane_on_natural_orifices(): void
    {
        foreach ([[3.5, 1.5], [10.5, 2.7]] as [$manifold, $times]) {
            $s = self::burning(
                ['meter.main.fuel' => 'propane', 'meter.main.pressure' => 13, 'valve.body.set' => $manifold, 'limit.contact.stuck' => 'closed'],
                60,
            );
            self::assertEqualsWithDelta($times * 80000, self::at($s, 'burners.fire', 'heat'), 0.06 * $times * 80000);
        }
    }

    public function test_a_valve_that_leaks_by_passes_a_small_part_that_is_smelt_and_burns_on_nothing(): void
    {
        $s = TestRig::of('furnace-80', ['valve.body.passes' => 0.006])->set('thermostat.mode', 'off')->run(60);
        self::assertGreaterThan(0.02, self::at($s, 'burners.orifice', 'share'));
        self::assertLessThan(0.15, self::at($s, 'burners.orifice', 'share'));
        self::assertSame('gas', $s->machine->shows($s->state, 'burners.fire'));
    }

    public function test_gas_that_was_let_out_lingers_and_thins_out(): void
    {
        $s = TestRig::of('furnace-80', ['igniter.element.open' => true]);
        self::assertNotNull($s->until(fn (TestRig $s) => $s->machine->shows($s->state, 'burners.fire') === 'gas', 120));
        self::assertNotNull($s->until(fn (TestRig $s) => self::at($s, 'burners.orifice', 'q') == 0.0, 20));
        $s->set('thermostat.mode', 'off')->run(20);
        self::assertSame('gas', $s->machine->shows($s->state, 'burners.fire'), 'still smelt when the valve has shut');
        self::assertSame('', $s->run(180)->machine->shows($s->state, 'burners.fire'), 'and gone after minutes');
    }

    public function test_a_burner_of_which_the_first_port_alone_burns_gives_a_part_of_its_heat(): void
    {
        $s = TestRig::of('furnace-80', ['burners.carry.free' => 0.2]);
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 120));
        $s->run(2);
        self::assertLessThan(30000, self::at($s, 'burners.fire', 'heat'));
    }

    // Combustion

    /** Mole balance: methane leaves 1 CO2 and 7.55 N2 of dry gas with no air to spare, 11.7 %; oil as CH1.8 15.4 %. */
    public function test_the_most_carbon_dioxide_that_a_fuel_can_leave(): void
    {
        self::assertEqualsWithDelta(11.8, Fuel::NaturalGas->flueGas(1.0)['co2'], 0.15, 'usual figure');
        self::assertEqualsWithDelta(15.4, Fuel::Oil->flueGas(1.0)['co2'], 0.2, 'usual figure');
        self::assertEqualsWithDelta(13.8, Fuel::Propane->flueGas(1.0)['co2'], 0.3, 'from memory');
        foreach (Fuel::cases() as $fuel) {
            foreach ([1.1, 1.5, 2.2] as $air) {
                $gas = $fuel->flueGas($air);
                // oxygen and carbon dioxide tell the same air: CO2 = most × (20.95 − O2) ÷ 20.95
                self::assertEqualsWithDelta($fuel->flueGas(1.0)['co2'] * (20.95 - $gas['oxygen']) / 20.95, $gas['co2'], 0.45);
            }
        }
    }

    /** Usual on induced burners: oxygen 4 to 9 %, carbon dioxide 7 to 9.5 %; stack 300 to 450 °F over room. */
    public function test_a_furnace_in_order_burns_as_furnaces_do(): void
    {
        $s = self::burning([], 900);
        self::assertEqualsWithDelta(6.5, $s->value('flue-gas'), 2.5);
        self::assertEqualsWithDelta(8.25, $s->value('flue-co2'), 1.25);
        self::assertLessThan(100, $s->value('flue-co'));
        self::assertEqualsWithDelta(375, $s->value('stack') - $s->value('room-air'), 75);
    }

    /**
     * Against Siegert's formula, loss = (t − t₀)·(A ÷ (21 − O₂) + B) % of the lower heating value in °C, with A and B
     * 0.66 and 0.009 for natural gas, 0.68 and 0.007 for oil; the lower is 0.90 and 0.94 of the higher (from memory).
     */
    public function test_efficiency_by_mole_balance_is_what_siegerts_formula_gives(): void
    {
        foreach ([[Fuel::NaturalGas, 0.66, 0.009, 0.90], [Fuel::Oil, 0.68, 0.007, 0.94]] as [$fuel, $a, $b, $lower]) {
            foreach ([1.25, 1.5, 2.0] as $air) {
                foreach ([300.0, 400.0, 600.0] as $stack) {
                    $loss = ($stack - 70) / 1.8 * ($a / (21 - $fuel->flueGas($air)['oxygen']) + $b);
                    self::assertEqualsWithDelta($lower * (100 - $loss), 100 * $fuel->efficiency($air, $stack, 70), 1.3);
                }
            }
        }
        self::assertGreaterThan(0.92, Fuel::NaturalGas->efficiency(1.3, 110, 70), 'it condenses');
    }

    public function test_the_analyser_tells_an_efficiency_that_falls_when_less_heat_is_taken_or_fuel_is_left(): void
    {
        $sound = TestRig::of('furnace-80')->run(900);
        self::assertEqualsWithDelta(80, $sound->value('efficiency'), 2, 'an 80 % furnace');
        $hot = TestRig::of('furnace-80', ['exchanger.stack.passes' => 0.25])->run(900);
        self::assertLessThan($sound->value('efficiency') - 3, $hot->value('efficiency'), 'less of the heat is taken');
        $choked = TestRig::of('furnace-80', ['burners.intake.free' => 0.1])->run(900);
        self::assertLessThan($sound->value('efficiency') - 3, $choked->value('efficiency'), 'CO is fuel that is left');
        self::assertEqualsWithDelta(0.0, TestRig::of('furnace-80')->value('efficiency'), 0.01, 'nothing burns');
        self::assertEqualsWithDelta(82, TestRig::of('boiler-simple-230')->run(900)->value('efficiency'), 3, 'metric');
    }

    /** @param array<string, mixed> $set */
    #[DataProvider('chokes')]
    public function test_what_starves_a_burner_of_air_takes_its_oxygen_and_makes_carbon_monoxide(string $model, array $set): void
    {
        $fuel = $model === 'oil-furnace' ? 'nozzle' : 'burners';
        $sound = TestRig::of($model)->run(600);
        $choked = TestRig::of($model, $set)->run(600);
        self::assertTrue($choked->isLit("$fuel.fire"), 'it burns on');
        self::assertLessThan($sound->value('flue-gas') - 2, $choked->value('flue-gas'));
        self::assertGreaterThan($sound->value('flue-co') + 30, $choked->value('flue-co'));
        self::assertNotSame('', $choked->machine->shows($choked->state, "$fuel.flue_gas"), 'and its flame looks so');
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function chokes(): iterable
    {
        yield 'sooted exchanger' => ['furnace-80', ['exchanger.gas_side.free' => 0.4]];
        yield 'lint over the air openings' => ['furnace-80', ['burners.intake.free' => 0.15]];
        yield 'overfired' => ['furnace-80', ['valve.body.set' => 7, 'meter.main.pressure' => 14]];
        yield 'boiler sooted' => ['boiler-hydronic', ['block.gas_side.free' => 0.35]];
        yield 'oil, air gate shut' => ['oil-furnace', ['motor.gate.free' => 0.6]];
        yield 'oil, flue blocked' => ['oil-furnace', ['flue.way.free' => 0.3]];
    }

    public function test_a_blocked_chimney_turns_the_draught_at_the_hood_and_spills(): void
    {
        $sound = TestRig::of('boiler-hydronic')->run(600);
        self::assertGreaterThan(2, self::at($sound, 'hood.relief', 'q'), 'air of the room is drawn in');
        self::assertLessThan(0.0, $sound->value('breech'));
        $blocked = TestRig::of('boiler-hydronic', ['chimney.way.free' => 0.1])->run(600);
        self::assertLessThan(-2, self::at($blocked, 'hood.relief', 'q'), 'flue gas comes out of it');
        self::assertGreaterThan(200, $blocked->value('hood-edge'), 'and is felt there');
        self::assertSame('spills', $blocked->machine->shows($blocked->state, 'hood.edge'), 'and smelt');
    }

    public function test_a_cracked_exchanger_rolls_out_when_the_blower_starts(): void
    {
        $s = TestRig::of('furnace-80', ['exchanger.wall.free' => 0.4]);
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 120));
        self::assertTrue($s->slot('rollout-l.disc', 'made'));
        $blown = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 120);
        self::assertNotNull($blown);
        self::assertTrue($s->slot('rollout-l.disc', 'made'), 'not before');
        self::assertLessThan(30, $s->until(fn (TestRig $s) => ! $s->slot('rollout-l.disc', 'made'), 60));
    }

    // Draught

    /** Three to four times the switch's set point when running, on 80 % units; common practice, no source. */
    public function test_the_pressure_switch_has_three_to_four_times_what_it_asks(): void
    {
        foreach (['furnace-80', 'package-direct-spark'] as $model) {
            $drawn = TestRig::of($model)->run(60)->value('hose-tee');
            self::assertGreaterThanOrEqual(3 * 0.4, $drawn, $model);
            self::assertLessThanOrEqual(4 * 0.4, $drawn, $model);
        }
    }

    public function test_what_is_blocked_behind_the_tap_lowers_its_suction_and_what_is_before_it_raises_it(): void
    {
        $drawn = fn (array $set): float => TestRig::of('furnace-80', $set)->run(60)->value('hose-tee');
        $sound = $drawn([]);
        self::assertLessThan($sound - 0.3, $drawn(['flue.way.free' => 0.35]), 'the flue');
        self::assertGreaterThan($sound + 0.1, $drawn(['exchanger.gas_side.free' => 0.5]), 'the exchanger');
        self::assertGreaterThan($sound + 0.1, $drawn(['burners.intake.free' => 0.2]), 'the air openings');
    }

    // Air

    public function test_a_limit_sees_a_spike_when_the_blower_stops_on_a_hot_exchanger(): void
    {
        $s = self::burning([], 900);
        $before = $s->value('supply-air');
        $s->set('thermostat.mode', 'off')->set('breaker.handle', 'off')->run(45);
        self::assertGreaterThan($before + 10, $s->value('supply-air'));
    }

    public function test_air_falls_by_filter_registers_and_a_caked_wheel_along_the_blowers_curve(): void
    {
        $air = fn (array $set): float => self::at(self::burning($set, 300), 'exchanger.air_side', 'q');
        $sound = $air([]);
        self::assertEqualsWithDelta(1250, $sound, 60);
        foreach ([['filter.way.free' => 0.3], ['registers.way.free' => 0.4], ['blower.wheel.worn' => 0.5]] as $set) {
            $less = $air($set);
            self::assertLessThan(0.9 * $sound, $less, json_encode($set));
            self::assertGreaterThan(0.3 * $sound, $less, json_encode($set));
        }
        $before = self::burning(['filter.way.free' => 0.3], 300);
        self::assertLessThan(-0.25, $before->value('return-static'), 'a dirty filter: suction before the blower rises');
        $after = self::burning(['registers.way.free' => 0.4], 300);
        self::assertGreaterThan(0.35, $after->value('supply-static'), 'shut registers: pressure behind it rises');
    }

    // Water

    /** Steam tables, from memory: some 250 °F at 15 psi gauge. */
    public function test_a_weak_capacitor_takes_the_blowers_speed_by_degree_and_the_air_gets_hotter(): void
    {
        $last = [INF, 0.0];
        foreach ([7.5, 5.5, 4.5, 3.5] as $microfarad) {
            $s = TestRig::of('furnace-80', ['capacitor.plates.microfarad' => $microfarad])->run(400);
            $now = [self::at($s, 'blower.motor', 'target'), $s->value('supply-air')];
            self::assertLessThan($last[0], $now[0], "$microfarad µF");
            self::assertGreaterThan($last[1], $now[1], "$microfarad µF");
            $last = $now;
        }
        self::assertGreaterThan(0.4, $last[0], 'it still turns, at not half its speed');
        $gone = TestRig::of('furnace-80', ['capacitor.plates.microfarad' => 1.0])->run(100);
        self::assertSame(0.0, self::at($gone, 'blower.motor', 'target'), 'and with next to none it only hums');
    }

    public function test_water_boils_at_its_pressure_and_gets_no_hotter(): void
    {
        $s = TestRig::of('boiler-hydronic', ['high.contact.stuck' => 'closed', 'operating.contact.stuck' => 'closed', 'circulator.motor.seized' => true]);
        $s->run(7200);
        self::assertEqualsWithDelta(250, $s->value('supply-pipe'), 0.1);
        self::assertSame('boils', $s->machine->shows($s->state, 'block.water'), 'and its relief valve is heard');
    }

    public function test_water_flows_from_a_head_to_a_return_and_nowhere_else(): void
    {
        $s = TestRig::of('zones-hydronic', ['zv1.motor.seized' => 0.0])->set('thermostat-2.set', 50)->run(400);
        self::assertSame(0.0, self::at($s, 'zv1.body', 'q'), 'a valve that is shut');
        self::assertSame(0.0, self::at($s, 'loop-1.body', 'q'));
        self::assertSame(0.0, self::at($s, 'zv2.body', 'q'));
        self::assertGreaterThan(2, self::at($s, 'zv3.body', 'q'));
        self::assertEqualsWithDelta(self::at($s, 'boiler.circulator.impeller', 'q'), self::at($s, 'zv3.body', 'q'), 0.01);
        $s->run(1200);
        self::assertGreaterThan($s->value('behind') + 40, $s->value('before'), 'clamps on both sides of the shut one');
        self::assertEqualsWithDelta($s->value('before-zv3'), $s->value('behind-zv3'), 2, 'and of the open one');
    }

    public function test_a_zone_valve_that_stands_half_way_lets_half_as_much_through(): void
    {
        $flow = fn (float $at): float => self::at(
            TestRig::of('zones-hydronic', ['zv1.motor.seized' => $at])->run(300),
            'zv1.body',
            'q',
        );
        self::assertGreaterThan(0.3 * $flow(1.0), $flow(0.5));
        self::assertLessThan(0.9 * $flow(1.0), $flow(0.5));
    }

    public function test_air_in_a_loop_takes_its_flow_and_its_room_stays_cold(): void
    {
        $sound = TestRig::of('zones-hydronic')->run(300);
        $air = TestRig::of('zones-hydronic', ['loop-1.ways.free' => 0.05])->run(300);
        self::assertLessThan(0.3 * self::at($sound, 'loop-1.body', 'q'), self::at($air, 'loop-1.body', 'q'));
        self::assertGreaterThan(self::at($sound, 'loop-2.body', 'q'), self::at($air, 'loop-2.body', 'q'));
        self::assertLessThan($sound->run(3000)->value('room-1.air') - 0.3, $air->run(3000)->value('room-1.air'));
    }

    public function test_boiler_radiators_and_cylinder_stand_at_their_own_temperatures(): void
    {
        $s = TestRig::of('mid-position-230')->run(400);
        [$boiler, $radiators, $cylinder] = [$s->value('boiler.block.water'), $s->value('radiators.iron'), $s->value('cylinder.store')];
        self::assertGreaterThan($radiators + 3, $boiler);
        self::assertGreaterThan($cylinder + 3, $boiler);
        self::assertGreaterThan(1, abs($radiators - $cylinder));
    }

    // Everywhere

    /** Whatever fails: no air, water, wall or sensor of any model gets as hot as 1700 °F. */
    #[DataProvider('models')]
    public function test_nothing_but_a_flame_gets_hotter_than_metal_can_bear(string $model, array $stuck): void
    {
        $s = TestRig::of($model, $stuck);
        $hottest = 0.0;
        $s->machine->advance($s->state, 4 * 3_600_000, function ($state) use ($s, &$hottest): bool {
            foreach ($s->plan->primitives as $id => $p) {
                if (in_array($p['type'], ['heat-store', 'stream-heat', 'stack-heat', 'spot'], true)) {
                    $hottest = max($hottest, (new Surroundings($state->tick, $state->slots))->value($id));
                }
            }

            return false;
        });
        self::assertGreaterThan(100, $hottest);
        self::assertLessThan(1700, $hottest);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> models with all that cools them gone */
    public static function models(): iterable
    {
        $limits = ['limit.contact.stuck' => 'closed', 'blower.motor.seized' => true];
        yield 'furnace' => ['furnace-80', $limits + ['valve.body.wide_open' => true]];
        yield 'package unit' => ['package-direct-spark', $limits];
        yield 'oil' => ['oil-furnace', ['fan-limit.limit.stuck' => 'closed', 'blower.motor.seized' => true]];
        yield 'boiler' => [
            'boiler-hydronic',
            ['high.contact.stuck' => 'closed', 'operating.contact.stuck' => 'closed', 'circulator.motor.seized' => true],
        ];
    }
}
