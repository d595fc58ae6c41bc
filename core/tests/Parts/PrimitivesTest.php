<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Primitive\Coil;
use OddSpark\Parts\Primitive\Contact;
use OddSpark\Parts\Primitive\Fuse;
use OddSpark\Parts\Primitive\Heater;
use OddSpark\Parts\Primitive\Motor;
use OddSpark\Parts\Primitive\Passage;
use OddSpark\Parts\Primitive\RoomThermostat;
use OddSpark\Parts\Primitive\Sensor;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;
use PHPUnit\Framework\TestCase;

/** Each primitive by itself: what it becomes from what it sees, and when. */
final class PrimitivesTest extends TestCase
{
    public function test_a_contact_makes_a_moment_late_and_breaks_at_once(): void
    {
        $contact = new Contact(['follows' => 'lever', 'when' => 'on'], $this->fittings());
        $slot = $contact->react($contact->initial(), $this->at(100, ['lever' => ['at' => 'on']]));
        self::assertFalse($slot['closed']);
        self::assertSame(104, $contact->next($slot, $this->at(100)));
        $slot = $contact->react($slot, $this->at(104, ['lever' => ['at' => 'on']]));
        self::assertTrue($slot['closed']);
        self::assertFalse($contact->react($slot, $this->at(105, ['lever' => ['at' => 'off']]))['closed']);
    }

    public function test_a_stuck_contact_follows_nothing(): void
    {
        foreach (['open' => false, 'closed' => true] as $stuck => $closed) {
            $contact = new Contact(['follows' => 'lever', 'when' => 'on', 'stuck' => $stuck], $this->fittings());
            foreach (['on', 'off'] as $at) {
                self::assertSame(
                    $closed,
                    $contact->react($contact->initial(), $this->at(9, ['lever' => ['at' => $at]]))['closed'],
                );
            }
        }
    }

    public function test_a_coil_pulls_in_and_drops_out_at_different_volts_each_after_its_time(): void
    {
        $coil = new Coil(
            [
                'ohm' => 26,
                'reactance_ohm' => 52,
                'pull_in_v' => 17,
                'drop_out_v' => 8,
                'pull_in_ms' => 40,
                'drop_out_ms' => 30,
            ],
            $this->fittings(),
        );
        $slot = $coil->react($coil->initial(), $this->at(0, [], 16.9));
        self::assertNull($slot['due'], 'too little to pull in');
        $slot = $coil->react($slot, $this->at(0, [], 24));
        self::assertSame(40, $slot['due']);
        self::assertFalse($coil->react($slot, $this->at(39, [], 24))['on']);
        self::assertNull($coil->react($slot, $this->at(20, [], 0))['due'], 'gone again before it moved');
        $slot = $coil->react($slot, $this->at(40, [], 24));
        self::assertTrue($slot['on']);
        self::assertTrue($coil->react($slot, $this->at(50, [], 9))['on'], 'holds on less than it needed');
        $slot = $coil->react($slot, $this->at(60, [], 7));
        self::assertFalse($coil->react($slot, $this->at(90, [], 7))['on']);
    }

    public function test_a_sensor_opens_and_closes_with_its_differential_and_latches_when_it_must(): void
    {
        $limit = new Sensor(['of' => 'heat', 'opens_at' => 200, 'closes_at' => 165], $this->fittings());
        $rising = ['heat' => ['course' => Response::towards(0, 70.0, 300.0, 60.0)]];
        $next = $limit->next($limit->initial(), $this->at(0, $rising));
        self::assertEqualsWithDelta(1000 * 60 * log(230 / 100), $next, 1.0);
        $slot = $limit->react($limit->initial(), $this->at($next, $rising));
        self::assertFalse($slot['made']);
        $cool = fn (float $f) => $this->at(0, ['heat' => ['course' => Response::still(0, $f)]]);
        self::assertFalse($limit->react($slot, $cool(166.0))['made']);
        self::assertTrue($limit->react($slot, $cool(165.0))['made']);
        $rollout = new Sensor(
            ['of' => 'heat', 'opens_at' => 300, 'closes_at' => 260, 'manual_reset' => true],
            $this->fittings(),
        );
        $slot = $rollout->react($rollout->initial(), $cool(301.0));
        self::assertSame('tripped', $rollout->shows($slot));
        self::assertFalse($rollout->react($slot, $cool(70.0))['made'], 'cold, and still not reset');
        self::assertTrue($rollout->react(['latched' => false] + $slot, $cool(70.0))['made']);
    }

    public function test_a_pressure_switch_is_open_until_proved(): void
    {
        $switch = new Sensor(['of' => 'draught', 'opens_at' => 0.30, 'closes_at' => 0.40], $this->fittings());
        self::assertFalse($switch->initial()['made']);
        $air = fn (float $x) => $this->at(0, ['draught' => ['course' => Response::still(0, $x)]]);
        $slot = $switch->react($switch->initial(), $air(0.39));
        self::assertFalse($slot['made']);
        $slot = $switch->react($slot, $air(0.41));
        self::assertTrue($switch->react($slot, $air(0.31))['made']);
        self::assertFalse($switch->react($slot, $air(0.30))['made']);
    }

    public function test_a_fuse_opens_sooner_on_more_and_holds_its_rating(): void
    {
        $fuse = new Fuse(['amps' => 3, 'ohm' => 0.02, 'melt_s' => 1], $this->fittings());
        $after = function (float $amps) use ($fuse): int {
            return $fuse->next($fuse->react($fuse->initial(), $this->at(0, [], $amps * 0.02)), $this->at(0));
        };
        self::assertSame(Primitive::NEVER, $after(3.2));
        self::assertEqualsWithDelta(1000 / (2 - 1) ** 2, $after(6), 1);
        self::assertEqualsWithDelta(1000 / (4 - 1) ** 2, $after(12), 1);
        self::assertGreaterThanOrEqual(25, $after(300));
        $slot = $fuse->react($fuse->initial(), $this->at(0, [], 12 * 0.02));
        self::assertFalse($fuse->react($slot, $this->at(112, [], 12 * 0.02))['whole']);
    }

    public function test_bursts_add_up_in_a_fuse(): void
    {
        $fuse = new Fuse(['amps' => 3, 'ohm' => 0.02, 'melt_s' => 1], $this->fittings());
        $slot = $fuse->initial();
        for ($t = 0; $t < 2000 && $slot['whole']; $t += 200) {
            $slot = $fuse->react($slot, $this->at($t, [], 12 * 0.02));
            $slot = $fuse->react($slot, $this->at($t + 60, [], 0.0));
        }
        $slot = $fuse->react($slot, $this->at($t, [], 12 * 0.02));
        self::assertFalse(
            $fuse->react($slot, $this->at($t + 60, [], 12 * 0.02))['whole'],
            '60 ms at a time, never enough by itself',
        );
    }

    public function test_a_breaker_is_switched_by_hand_and_made_again_by_hand(): void
    {
        $breaker = new Fuse(['amps' => 15, 'ohm' => 0.006, 'melt_s' => 4, 'lever' => 'handle'], $this->fittings());
        $slot = $breaker->react($breaker->initial(), $this->at(0, ['handle' => ['at' => 'off']]));
        self::assertFalse($slot['whole']);
        self::assertTrue($breaker->react($slot, $this->at(1, ['handle' => ['at' => 'on']]))['whole']);
        $broken = new Fuse(['amps' => 15, 'open' => true, 'lever' => 'handle'], $this->fittings());
        self::assertFalse($broken->react($broken->initial(), $this->at(1, ['handle' => ['at' => 'on']]))['whole']);
    }

    public function test_an_igniter_glows_after_seconds_on_full_volts_and_never_on_half(): void
    {
        $igniter = new Heater(
            [
                'cold_ohm' => 58,
                'hot_ohm' => 30,
                'rise_f' => 2500,
                'rated_v' => 120,
                'tau_s' => 5,
                'room_f' => 68,
                'glows_at_f' => 1800,
            ],
            $this->fittings(),
        );
        foreach ([[120.0, 'bright'], [60.0, '']] as [$volts, $shows]) {
            $slot = $igniter->initial();
            for ($t = 0; $t <= 30_000; $t += 250) {
                $slot = $igniter->react($slot, $this->at($t, [], $volts));
            }
            self::assertSame($shows, $igniter->shows($slot), "$volts V");
        }
        $cold = new Values(1);
        $igniter->stamp($igniter->initial(), $cold);
        self::assertEqualsWithDelta(58, 1 / $cold->re[0], 1e-9, 'silicon carbide cold, 40 to 90 Ω: common practice');
    }

    public function test_a_seized_motor_hums_trips_and_tries_again(): void
    {
        $motor = new Motor(
            [
                'run' => [70, 60],
                'locked' => [38, 32],
                'run_v' => 80,
                'tau_s' => 1.2,
                'overload_s' => 90,
                'overload_cools_s' => 400,
                'seized' => true,
            ],
            $this->fittings(),
        );
        $slot = $motor->react($motor->initial(), $this->at(0, [], 120));
        self::assertSame('hums', $motor->shows($slot));
        self::assertSame(90_000, $motor->next($slot, $this->at(0)));
        $slot = $motor->react($slot, $this->at(90_000, [], 120));
        self::assertTrue($slot['tripped']);
        self::assertSame('', $motor->shows($slot));
        $slot = $motor->react($slot, $this->at(490_000, [], 120));
        self::assertFalse($slot['tripped']);
    }

    public function test_a_shaded_pole_motor_runs_on_enough_volts_alone(): void
    {
        $motor = new Motor(
            [
                'run' => [70, 60],
                'locked' => [38, 32],
                'run_v' => 80,
                'tau_s' => 1.2,
                'overload_s' => 90,
                'overload_cools_s' => 400,
            ],
            $this->fittings(),
        );
        self::assertSame('runs', $motor->shows($motor->react($motor->initial(), $this->at(0, [], 120))));
        self::assertSame('hums', $motor->shows($motor->react($motor->initial(), $this->at(0, [], 60))));
        self::assertSame('', $motor->shows($motor->react($motor->initial(), $this->at(0, [], 0))));
    }

    public function test_a_way_is_free_as_its_lever_says_unless_it_is_stuck(): void
    {
        $cock = new Passage(['follows' => 'handle', 'when' => 'open', 'free' => 0.8], $this->fittings());
        self::assertSame(0.8, $cock->react($cock->initial(), $this->at(0, ['handle' => ['at' => 'open']]))['free']);
        self::assertSame(0.0, $cock->react($cock->initial(), $this->at(0, ['handle' => ['at' => 'shut']]))['free']);
        $stuck = new Passage(['follows' => 'coil', 'key' => 'on', 'stuck' => 'shut'], $this->fittings());
        self::assertSame(0.0, $stuck->react($stuck->initial(), $this->at(0, ['coil' => ['on' => true]]))['free']);
    }

    public function test_a_thermostat_calls_below_its_set_point_and_lives_on_for_a_moment_without_volts(): void
    {
        $thermostat = new RoomThermostat(
            ['needs_v' => 16, 'room' => 'room', 'mode' => 'mode', 'set' => 'set', 'fan' => 'fan'],
            $this->fittings(),
        );
        $slots = fn (float $room) => [
            'room' => ['course' => Response::still(0, $room)],
            'mode' => ['at' => 'heat'],
            'set' => ['at' => 70],
            'fan' => ['at' => 'auto'],
        ];
        $slot = $thermostat->react($thermostat->initial(), $this->at(0, $slots(66), 27));
        self::assertSame('blank', $thermostat->shows($slot));
        $slot = $thermostat->react($slot, $this->at(2000, $slots(66), 27));
        self::assertSame('heat on', $thermostat->shows($slot));
        self::assertTrue(
            $thermostat->react($slot, $this->at(3000, $slots(70.4), 27))['heat'],
            'until half a degree above',
        );
        self::assertFalse($thermostat->react($slot, $this->at(3000, $slots(70.5), 27))['heat']);
        $slot = $thermostat->react($slot, $this->at(4000, $slots(66), 0));
        self::assertTrue($slot['lit']);
        self::assertFalse($thermostat->react($slot, $this->at(5500, $slots(66), 0))['lit']);
    }

    public function test_a_thermostat_cools_above_its_set_point_with_its_fan(): void
    {
        $thermostat = new RoomThermostat(
            ['needs_v' => 16, 'room' => 'room', 'mode' => 'mode', 'set' => 'set', 'fan' => 'fan'],
            $this->fittings(),
        );
        $slots = fn (float $room) => [
            'room' => ['course' => Response::still(0, $room)],
            'mode' => ['at' => 'cool'],
            'set' => ['at' => 74],
            'fan' => ['at' => 'auto'],
        ];
        $lit = ['lit' => true] + $thermostat->initial();
        $slot = $thermostat->react($lit, $this->at(0, $slots(74.5), 27));
        self::assertSame([false, true, true], [$slot['heat'], $slot['cool'], $slot['fan']]);
        self::assertSame('cool on', $thermostat->shows($slot));
        self::assertTrue($thermostat->react($slot, $this->at(1, $slots(73.6), 27))['cool'], 'until half a degree below');
        self::assertFalse($thermostat->react($slot, $this->at(1, $slots(73.5), 27))['cool']);
        self::assertSame('', $thermostat->react($lit, $this->at(0, $slots(60), 27))['calls'], 'it heats nothing');
    }

    public function test_weak_cells_light_a_display_that_calls_and_make_no_contact(): void
    {
        $s = \OddSpark\Tests\TestRig::withFault('oil-furnace', 'thermostat:cells-weak')
            ->set('thermostat.set', 85)
            ->run(30);
        self::assertSame('heat on', $s->machine->shows($s->state, 'thermostat.logic'));
        self::assertFalse($s->slot('thermostat.contact', 'closed'));
    }

    public function test_the_current_of_an_igniter_changes_smoothly_as_it_warms(): void
    {
        // carbide: 58 Ω cold, 30 hot, so its current rises; common practice, no source
        $s = \OddSpark\Tests\TestRig::of('furnace-80')->set('thermostat.set', 80);
        self::assertNotNull($s->until(fn ($s) => $s->volts('igniter.1', 'igniter.2') > 100, 120));
        $amps = [];
        for ($i = 0; $i < 60; $i++) {
            $s->run(0.25);
            $solution = $s->machine->solution($s->state);
            $branch = $s->plan->primitives['igniter.element']['branches'][0];
            $amps[] = $solution->acVolts(...$s->plan->branches[$branch]) * $s->machine->values($s->state)->re[$branch];
        }
        self::assertEqualsWithDelta(120 / 58, $amps[0], 0.15);
        self::assertEqualsWithDelta(120 / 30, end($amps), 0.2);
        foreach (array_slice($amps, 1) as $i => $now) {
            self::assertGreaterThanOrEqual($amps[$i] - 1e-6, $now);
            self::assertLessThan(1.12 * $amps[$i], $now);
        }
    }

    private function fittings(): Fittings
    {
        return new Fittings(['a' => 1, 'b' => 0, 'line' => 1, 'common' => 0], [0], [], [], 377.0);
    }

    /** @param array<string, array<string, mixed>> $slots */
    private function at(int $tick, array $slots = [], float $volts = 0.0): Surroundings
    {
        $values = new Values(1);
        $values->resistor(0, 1e6);
        $values->acSources = [1 => [$volts * 1e6, 0.0]];

        return new Surroundings($tick, $slots, Solution::of(new Network(Topology::of(2, [[1, 0]]), 60.0), $values));
    }
}
