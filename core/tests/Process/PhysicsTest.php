<?php

declare(strict_types=1);

namespace OddSpark\Tests\Process;

use OddSpark\Tests\TestRig;
use OddSpark\Trade\Fuel;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The physical half of the shipped models, each line with its formula or its source. */
final class PhysicsTest extends TestCase
{
    use AtRest;

    // Gas

    /** Bernoulli: flow goes with the root of the pressure across the orifice. */
    #[DataProvider('manifolds')]
    public function test_gas_flow_goes_with_the_root_of_the_manifold_pressure(
        float $manifold,
        float $share,
        int $clock,
    ): void {
        $s = self::burning(
            ['valve.body.set' => $manifold, 'meter.main.pressure' => 14, 'limit.contact.stuck' => 'closed'],
            90,
        );
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
            $s = self::burning(
                ['valve.body.set' => $set, 'meter.main.pressure' => 14, 'limit.contact.stuck' => 'closed'],
                800,
            );

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
        self::assertGreaterThan(
            $s->value('supply-duct') + 10,
            $s->value('supply-air'),
            'at the limit the hot wall is felt',
        );
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
                [
                    'meter.main.fuel' => 'propane',
                    'meter.main.pressure' => 13,
                    'valve.body.set' => $manifold,
                    'limit.contact.stuck' => 'closed',
                ],
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
                self::assertEqualsWithDelta(
                    $fuel->flueGas(1.0)['co2'] * (20.95 - $gas['oxygen']) / 20.95,
                    $gas['co2'],
                    0.45,
                );
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
    public function test_what_starves_a_burner_of_air_takes_its_oxygen_and_makes_carbon_monoxide(
        string $model,
        array $set,
    ): void {
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
}
