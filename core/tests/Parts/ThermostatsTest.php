<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Primitive\Heater;
use OddSpark\Parts\Primitive\Motor;
use OddSpark\Parts\Primitive\RoomThermostat;
use OddSpark\Trade\Response;
use PHPUnit\Framework\TestCase;

/** Thermostats, and what warms or turns by itself. */
final class ThermostatsTest extends TestCase
{
    use AmongFittings;

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
        self::assertTrue(
            $thermostat->react($slot, $this->at(1, $slots(73.6), 27))['cool'],
            'until half a degree below',
        );
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
}
