<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Appliance\Library;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Situations of boilers, oil and valves, each from the trade. */
final class SituationsOfValvesTest extends TestCase
{
    public function test_a_weak_thermocouple_drops_the_pilot_when_the_hand_leaves_the_button(): void
    {
        $s = TestRig::withFault('furnace-standing-pilot', 'thermocouple:weak');
        $s->set('valve.knob', 'pilot')
            ->set('pilot-burner.match', 'held to it')
            ->set('valve.button', 'pushed')
            ->run(70)
            ->set('pilot-burner.match', 'away');
        self::assertTrue($s->isLit('pilot-burner.fire'));
        self::assertLessThan(6, 1000 * $s->dc('valve.core', 'valve.sheath'), 'millivolts');
        $s->set('valve.button', 'out')->run(3);
        self::assertFalse($s->isLit('pilot-burner.fire'));
    }

    public function test_a_tripped_low_water_cut_off_leaves_the_whole_string_dead_behind_it(): void
    {
        $s = TestRig::of('boiler-hydronic')->run(200)->put('block.level', 0.2)->put('block.level', 1.0)->run(5);
        self::assertEqualsWithDelta(120, $s->volts('cut-off.a', 'n-nut.out'), 3);
        self::assertLessThan(5, $s->volts('cut-off.b', 'n-nut.out'));
        self::assertEqualsWithDelta(
            120,
            $s->volts('cut-off.a', 'cut-off.b'),
            4,
            'across an open switch the full volts',
        );
        self::assertSame('tripped', $s->machine->shows($s->state, 'cut-off.probe'));
    }

    public function test_a_seized_zone_motor_with_a_made_end_switch_calls_for_ever(): void
    {
        $s = TestRig::withFault('zones-hydronic', 'zv2:seized-open');
        foreach ([1, 2, 3] as $n) {
            $s->set("thermostat-$n.set", 50);
        }
        $s->run(300);
        self::assertLessThan(1, $s->volts('zv2.M1', 'zv2.M2'), 'nothing feeds its motor');
        self::assertLessThan(0.1, $s->volts('zv2.E1', 'zv2.E2'), 'and its end switch is made');
        self::assertTrue($s->slot('panel.ends', 'closed'));
        self::assertGreaterThan(0.5, $s->slot('boiler.circulator.motor', 'target'));
        $s->lift('w18.a')->run(10);
        self::assertFalse($s->slot('panel.ends', 'closed'), 'it drops when the end switch is lifted');
    }

    public function test_a_dead_mid_position_motor_heats_only_along_with_hot_water(): void
    {
        $s = TestRig::withFault('mid-position-230', 'three-port:motor-dead');
        $s->put('room.air', 15)->put('cylinder.store', 70)->run(120);
        self::assertFalse($s->isLit('boiler.burners.fire'), 'heating alone: the boiler is never asked');
        self::assertEqualsWithDelta(230, $s->volts('three-port.WH', 'three-port.BU'), 10, 'white is live');
        self::assertLessThan(10, $s->volts('three-port.OG', 'three-port.BU'), 'orange is not');
        $s->put('cylinder.store', 30)->put('boiler.block.water', 40)->run(120);
        self::assertTrue($s->isLit('boiler.burners.fire'), 'with hot water it runs');
        self::assertSame('hot water', $s->machine->shows($s->state, 'three-port.head'));
        self::assertGreaterThan(
            0,
            $s->slot('three-port.heating', 'free'),
            'and what passes the port is all that the radiators get',
        );
    }

    public function test_a_cad_cell_that_sees_light_stops_the_start_and_a_dirty_one_locks_out_at_the_trial_time(): void
    {
        $s = TestRig::withFault('oil-furnace', 'cell:stray')->run(120);
        self::assertSame('light', $s->slot('primary.control', 'state'));
        self::assertSame(0.0, $s->slot('motor.motor', 'target'));
        $s = TestRig::withFault('oil-furnace', 'cell:dirty');
        $lit = $s->until(fn (TestRig $s) => $s->isLit('nozzle.fire'), 60);
        self::assertNotNull($lit);
        $locked = $s->until(fn (TestRig $s) => $s->slot('primary.control', 'state') === 'lockout', 60);
        self::assertEqualsWithDelta(30, $locked, 1.5, 'it burns all the time, and is not seen');
        self::assertSame('steady', $s->machine->shows($s->state, 'primary.control'));
    }

    public function test_resets_of_an_oil_primary_are_limited_and_outlive_the_power(): void
    {
        $s = TestRig::withFault('oil-furnace', 'nozzle:plugged');
        foreach ([1, 2] as $reset) {
            self::assertNotNull(
                $s->until(fn (TestRig $s) => $s->slot('primary.control', 'state') === 'lockout', 120),
                "reset $reset",
            );
            $s->set('service.lever', 'off')->run(5)->set('service.lever', 'on')->run(5);
            self::assertSame('lockout', $s->slot('primary.control', 'state'), 'no power cycle frees it');
            $s->reset('primary.control');
        }
        self::assertNotNull($s->until(fn (TestRig $s) => $s->slot('primary.control', 'state') === 'restricted', 120));
    }

    public function test_an_inner_appliance_takes_what_the_outer_one_says_of_it(): void
    {
        $library = new Library();
        $propane = [
            'includes' => [
                [
                    'id' => 'unit',
                    'model' => 'furnace-80',
                    'by' => [0, 0],
                    'params' => [
                        'limit' => ['disc' => ['opens_at' => 180]],
                        'meter' => ['main' => ['pressure' => 12.0, 'fuel' => 'propane']],
                        'valve' => ['body' => ['set' => 10.5]],
                        'burners' => ['orifice' => ['at' => 10.5, 'fuel' => 'propane']],
                    ],

                ],
            ],
        ];
        $document = array_diff_key($library->document('furnace-80-limit-in-r'), [
            'includes' => 1,
            'wires' => 1,
            'parts' => 1,
            'household' => 1,
            'tape' => 1,
            'visits' => 1,
        ]);
        $model = $library->resolve(
            $propane +
                $document + [
                    'parts' => [['id' => 'nut', 'kind' => 'splice', 'label' => 'Nut', 'at' => [900, 710]]],
                    'wires' => [],
                    'household' => [
                        'rooms' => [
                            [
                                'of' => 'unit.room.air',
                                'wants' => 70,
                                'calls' => ['by' => 'unit.thermostat.logic', 'key' => 'heat'],
                            ],
                        ],
                        'heat' => ['unit.burners.flame' => ['lit']],
                        'cycle' => ['unit.burners.flame' => ['lit']],
                    ],
                    'tape' => [['channel' => 'unit.burners.flame', 'name' => 'Flame', 'tone' => 'flame']],
                    'visits' => [
                        'cold' => [
                            'title' => 'Cold',
                            'notices_s' => 10,
                            'household' => [],
                            'arrives' => ['after_s' => 1],
                        ],
                    ],
                ],
        );
        $s = TestRig::ofModel($model)->run(120);
        self::assertTrue($s->isLit('unit.burners.fire'));
        self::assertEqualsWithDelta(10.5, $s->value('unit.manifold'), 0.1, 'propane, in. w.c.');
        $s->put('unit.exchanger.felt', 185)->put('unit.exchanger.metal', 185)->run(1);
        self::assertFalse($s->slot('unit.limit.contact', 'closed'));
        self::assertArrayNotHasKey('includes', $model->document, 'what comes out is flat');
    }

    public function test_the_marker_of_a_valve_shows_where_it_is_and_not_where_it_is_going(): void
    {
        $marker = fn (TestRig $s): string => $s->machine->shows($s->state, 'three-port.head');
        $s = TestRig::of('mid-position-230')
            ->set('stat.set', 5)
            ->put('cylinder.store', 30)
            ->set('cylinder-stat.set', 60)
            ->run(60);
        self::assertSame('hot water', $marker($s));
        $s->set('stat.set', 25)->run(0.5);
        self::assertSame(0.5, $s->slot('three-port.head', 'target'));
        self::assertSame('hot water', $marker($s), 'it has hardly set off');
        self::assertNotNull($s->until(fn (TestRig $s) => $marker($s) === 'both', 15));
        $s->put('cylinder.store', 70)->run(0.5);
        self::assertSame(1.0, $s->slot('three-port.head', 'target'));
        self::assertSame('both', $marker($s));
        self::assertNotNull($s->until(fn (TestRig $s) => $marker($s) === 'heating', 15));
    }
}
