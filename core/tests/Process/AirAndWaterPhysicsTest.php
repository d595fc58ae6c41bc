<?php

declare(strict_types=1);

namespace OddSpark\Tests\Process;

use OddSpark\Parts\Surroundings;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Air, draught and water: each with its formula or source. */
final class AirAndWaterPhysicsTest extends TestCase
{
    use AtRest;

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
        $s = TestRig::of(
            'boiler-hydronic',
            [
                'high.contact.stuck' => 'closed',
                'operating.contact.stuck' => 'closed',
                'circulator.motor.seized' => true,
            ],
        );
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
        self::assertEqualsWithDelta(
            self::at($s, 'boiler.circulator.impeller', 'q'),
            self::at($s, 'zv3.body', 'q'),
            0.01,
        );
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
        [$boiler, $radiators, $cylinder] = [
            $s->value('boiler.block.water'),
            $s->value('radiators.iron'),
            $s->value('cylinder.store'),
        ];
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
            [
                'high.contact.stuck' => 'closed',
                'operating.contact.stuck' => 'closed',
                'circulator.motor.seized' => true,
            ],
        ];
    }
}
