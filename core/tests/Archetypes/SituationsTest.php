<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Appliance\Library;
use OddSpark\Run\MachineState;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Situations that come round in the trade: nothing is written down for them, each comes out of the computation. */
final class SituationsTest extends TestCase
{
    public function test_a_limit_in_the_r_line_blanks_the_thermostat(): void
    {
        $s = TestRig::of('furnace-80-limit-in-r')->run(200);
        self::assertNotSame('blank', $s->machine->shows($s->state, 'furnace.thermostat.logic'));
        $s->put('furnace.exchanger.felt', 230)->put('furnace.exchanger.metal', 230)->run(3);
        self::assertSame('blank', $s->machine->shows($s->state, 'furnace.thermostat.logic'));
        self::assertSame('steady', $s->machine->shows($s->state, 'furnace.board.control'), 'the board itself is lit');
        self::assertEqualsWithDelta(
            26,
            $s->volts('furnace.limit.a', 'furnace.limit.b'),
            2,
            'the full volts stand across it',
        );
    }

    public function test_valve_volts_exist_only_during_the_trial(): void
    {
        $s = TestRig::withFault('furnace-80', 'igniter:cracked');
        $on = [];
        $s->machine->advance($s->state, 400_000, function (MachineState $state) use ($s, &$on): bool {
            $s->state = $state;
            $on[] = [$state->tick / 1000, $s->volts('valve.MV', 'valve.MVC') > 20, $s->slot('board.control', 'state')];

            return false;
        });
        $with = array_values(array_unique(array_column(array_filter($on, fn ($x) => $x[1]), 2)));
        self::assertContains('trial', $with);
        self::assertSame(
            [],
            array_diff($with, ['trial', 'interpurge']),
            'a relay breaks some milliseconds after its table says so',
        );
        $since = $total = 0.0;
        foreach ($on as $i => [$at, $volts]) {
            $total += $volts && isset($on[$i + 1]) ? $on[$i + 1][0] - $at : 0;
        }
        self::assertEqualsWithDelta(3 * 6, $total, 0.5, 'three trials of six seconds');
    }

    public function test_a_pulled_plug_stops_the_trial_on_a_board_that_checks_its_coil(): void
    {
        $document = Fixtures::furnace()->model->document;
        foreach ($document['parts'] as $i => $part) {
            if ($part['id'] === 'board') {
                $document['parts'][$i]['params'] = [
                    'control' => [
                        'inputs' => ['coil' => ['ohms' => ['MV', 'MVC'], 'on' => 400, 'off' => 1000, 'after_ms' => 50]],
                        'overrides' => ['states.prepurge.guards.0' => ['if' => ['coil' => false], 'go' => 'idle']],
                    ],
                ];
            }
        }
        $model = (new Library())->resolve($document);
        $tries = function (TestRig $s): int {
            $n = 0;
            $last = '';
            $s->machine->advance($s->state, 300_000, function (MachineState $state) use (&$n, &$last): bool {
                $now = $state->slots['board.control']['state'];
                $n += $now === 'trial' && $last !== 'trial' ? 1 : 0;
                $last = $now;

                return false;
            });

            return $n;
        };
        self::assertSame(1, $tries(TestRig::ofModel($model)));
        self::assertSame(0, $tries(TestRig::ofModel($model)->lift('w27.b')), 'with the plug off it does not even try');
        self::assertGreaterThan(0, $tries(TestRig::of('furnace-80')->lift('w27.b')), 'the board as shipped does');
    }

    public function test_blower_on_power_up_by_one_line_of_the_table(): void
    {
        $document = Fixtures::furnace()->model->document;
        foreach ($document['parts'] as $i => $part) {
            if ($part['id'] === 'board') {
                $document['parts'][$i]['params'] = [
                    'control' => ['overrides' => ['times.self_check_s' => 60, 'states.self_check.outputs' => ['heat']]],
                ];
            }
        }
        $s = TestRig::ofModel((new Library())->resolve($document))->run(10);
        self::assertGreaterThan(0.5, $s->slot('blower.motor', 'target'));
        self::assertLessThan(0.1, TestRig::of('furnace-80')->run(10)->slot('blower.motor', 'target'));
    }

    public function test_a_cracked_exchanger_rolls_the_flame_out_when_the_blower_starts(): void
    {
        $s = TestRig::withFault('furnace-80', 'exchanger:cracked');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 100));
        $s->run(20);
        self::assertTrue($s->slot('rollout-l.contact', 'closed'), 'while the blower stands nothing happens');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->slot('rollout-l.disc', 'latched'), 120));
        self::assertGreaterThan(0.2, $s->slot('blower.motor', 'target'));
        self::assertNotNull($s->until(fn (TestRig $s) => ! $s->isLit(), 3));
    }

    public function test_line_and_neutral_swapped_lose_the_flame_after_the_proving_time(): void
    {
        $s = TestRig::withFault('furnace-80', 'panel:swapped');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 100), 'it lights');
        self::assertEqualsWithDelta(120, $s->volts('board.N', 'board.GND'), 4, 'neutral to ground 120 V');
        self::assertLessThan(0.3, abs($s->dc('board.GND', 'board.FS') / 4.7), 'µA');
        $out = $s->until(fn (TestRig $s) => ! $s->isLit(), 20);
        self::assertEqualsWithDelta(6, $out, 1.5, 'the trial, and no flame seen');
        self::assertGreaterThan(50, $s->until(fn (TestRig $s) => $s->slot('board.control', 'state') === 'lockout', 400));
    }

    public function test_the_burner_ground_lost_leaves_no_microamps_and_volts_to_the_burner(): void
    {
        $good = TestRig::of('furnace-80')->run(120);
        $lost = TestRig::withFault('furnace-80', 'bond-screw:loose');
        self::assertNotNull($lost->until(fn (TestRig $s) => $s->isLit(), 100));
        $lost->run(2);
        self::assertGreaterThan(2, abs($good->dc('board.GND', 'board.FS') / 4.7));
        self::assertLessThan(0.5, abs($lost->dc('board.GND', 'board.FS') / 4.7));
        self::assertLessThan(1.5, $good->volts('board.N', 'burners.metal'), 'what 50 ft of neutral lose to the blower');
        self::assertGreaterThan(
            5,
            $lost->volts('board.N', 'burners.metal'),
            'some volts with a burner ground that hardly makes',
        );
    }

    public function test_a_pressure_switch_made_too_early_means_no_start(): void
    {
        $s = TestRig::withFault('furnace-80', 'pressure:stuck-closed')->run(120);
        self::assertSame('pressure_stuck', $s->slot('board.control', 'state'));
        self::assertSame(0.0, $s->slot('inducer.motor', 'target'));
        self::assertSame('2 flashes', $s->machine->shows($s->state, 'board.control'));
    }

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

    public function test_a_module_that_fails_warm_is_healed_by_the_power_cycle_with_which_the_visit_begins(): void
    {
        $s = TestRig::withFault('package-direct-spark', 'module:warm');
        $s->put('room.air', 40);
        self::assertNotNull(
            $s->until(fn (TestRig $s) => $s->slot('module.control', 'kept') === 'warm', 7200),
            'it burns until the cabinet is warm',
        );
        self::assertFalse($s->isLit() && $s->run(2)->isLit());
        $s->run(1800);
        self::assertFalse($s->isLit(), 'cool again, and still dead: it is locked');
        self::assertSame('dark', $s->slot('module.control', 'state'));
        $s->set('disconnect.lever', 'off')->run(10)->set('disconnect.lever', 'on');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 90), 'the power cycle has healed it');
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

    public function test_a_fifth_load_sags_a_transformer(): void
    {
        $volts = function (int $loads): float {
            $parts = ['panel' => 'supply', 'trafo' => 'transformer-120-24'];
            $wires = [['panel.L', 'trafo.H1'], ['panel.N', 'trafo.H2']];
            for ($i = 1; $i <= $loads; $i++) {
                $parts["zv$i"] = [
                    'kind' => 'zone-valve',
                    'params' => ['motor' => ['ohm' => 30, 'reactance_ohm' => 20]],
                ]; // heat motors of some 17 VA
                $wires[] = ['trafo.X1', "zv$i.M1"];
                $wires[] = ['trafo.X2', "zv$i.M2"];
            }
            $s = TestRig::ofModel(Fixtures::small($parts, $wires))->run(2);

            return $s->volts('trafo.X1', 'trafo.X2');
        };
        self::assertGreaterThan(25, $volts(1));
        self::assertGreaterThan(24, $volts(4));
        self::assertLessThan(24, $volts(5), 'below 24 V is looked into, common practice');
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

    public function test_a_blown_fuse_shows_volts_across_its_clips_only_when_something_behind_it_calls(): void
    {
        $parts = [
            'panel' => 'supply',
            'trafo' => 'transformer-120-24',
            'fuse' => ['kind' => 'plug-fuse', 'params' => ['element' => ['open' => true]]],
            'stat' => ['kind' => 'thermostat-mechanical', 'links' => ['room' => 'room']],
            'valve' => 'gas-valve',
        ];
        $model = Fixtures::small(
            $parts,
            [
                ['panel.L', 'trafo.H1'],
                ['panel.N', 'trafo.H2'],
                ['trafo.X1', 'fuse.a'],
                ['fuse.b', 'stat.R'],
                ['stat.W', 'valve.MV'],
                ['valve.MVC', 'trafo.X2'],
            ],
            ['room' => ['type' => 'still', 'value' => 66]],
        );
        $s = TestRig::ofModel($model)->run(1);
        self::assertEqualsWithDelta(26, $s->volts('fuse.a', 'fuse.b'), 2);
        $s->set('stat.set', 50)->run(1);
        $meter = [$s->plan->places['fuse.a'], $s->plan->places['fuse.b'], 1e-7];
        self::assertLessThan(2, $s->machine->solution($s->state, $meter)->acVolts($meter[0], $meter[1]), 'with a meter there, and nothing behind that calls');
    }

    public function test_a_relay_that_breaks_its_own_coil_buzzes_in_time_and_is_heard(): void
    {
        $model = Fixtures::small(
            ['panel' => 'supply', 'trafo' => 'transformer-120-24', 'relay' => 'buzzer'],
            [['panel.L', 'trafo.H1'], ['panel.N', 'trafo.H2'], ['trafo.X1', 'relay.A'], ['trafo.X2', 'relay.B']],
            [],
            [
                'kinds' => [
                    'buzzer' => [
                        'kind' => 'buzzer',
                        'version' => 1,
                        'title' => 'relay wired through its own contact',
                        'family' => 'relay',
                        'size' => [80, 40],
                        'symbol' => 'relay',
                        'terminals' => ['A' => ['at' => [10, 40]], 'B' => ['at' => [60, 40]]],
                        'inside' => ['mid'],
                        'primitives' => [
                            'coil' => [
                                'type' => 'coil',
                                'between' => ['mid', 'B'],
                                'ohm' => 60,
                                'reactance_ohm' => 110,
                                'pull_in_v' => 17,
                                'drop_out_v' => 8,
                                'pull_in_ms' => 25,
                                'drop_out_ms' => 20,
                            ],
                            'contact' => [
                                'type' => 'contact',
                                'between' => ['A', 'mid'],
                                'follows' => 'coil',
                                'key' => 'on',
                                'when' => false,
                            ],
                        ],
                        'percepts' => [
                            'click' => [
                                'of' => 'coil',
                                'sense' => 'hearing',
                                'from' => 'anywhere',
                                'thing' => 'relay',
                                'say' => ['' => 'quiet'],
                            ],
                        ],
                        'look' => 'As new.',
                        'modes' => [],
                    ],
                ],
            ],
        );
        $s = TestRig::ofModel($model);
        $moves = 0;
        $last = false;
        $heard = [];
        $s->state = $s->machine->advance($s->state, 3000, function (MachineState $state) use (
            $s,
            &$moves,
            &$last,
            &$heard,
        ): bool {
            $on = $state->slots['relay.coil']['on'];
            $moves += $on !== $last ? 1 : 0;
            $last = $on;
            $heard[] = $s->machine->shows($state, 'relay.coil');

            return false;
        });
        // by its own times: 25 ms in, 20 ms out, 4 ms for the contact to make
        self::assertEqualsWithDelta((3000 / 49) * 2, $moves, 6);
        self::assertSame('buzzes', end($heard));
        self::assertLessThanOrEqual(
            4,
            count(
                array_filter($heard, fn (string $h, int $i) => $i > 0 && $h !== $heard[$i - 1], ARRAY_FILTER_USE_BOTH),
            ),
            'one buzz, not a hundred clicks',
        );
    }

    public function test_gas_at_full_pressure_trips_the_limit_only_behind_a_dirty_filter(): void
    {
        $s = TestRig::of('furnace-80')->run(120);
        self::assertEqualsWithDelta(3.5, $s->value('manifold'), 0.05, 'natural gas, in. w.c.');
        $s = TestRig::withFault('furnace-80', 'valve:set-high@to the inlet pressure')->run(120);
        self::assertEqualsWithDelta(6.6, $s->value('manifold'), 0.2, 'what the street gives, less what the pipes take');
        self::assertNull($s->until(fn (TestRig $s) => ! $s->slot('limit.contact', 'closed'), 1800), 'a clean filter');
        $s = TestRig::of('furnace-80', ['valve.body.wide_open' => true, 'filter.way.free' => 0.12]);
        self::assertNotNull($s->until(fn (TestRig $s) => ! $s->slot('limit.contact', 'closed'), 900), 'a dirty one');
        $s->set('cock.handle', 'shut')->run(3);
        self::assertEqualsWithDelta(0.0, $s->value('gas-inlet'), 0.01);
    }

    public function test_a_rusted_carry_over_leaves_the_last_burner_and_the_rod_without_flame(): void
    {
        $s = TestRig::withFault('furnace-80', 'burners:carry-rusted');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 100), 'the first burner lights');
        $s->run(2);
        self::assertFalse($s->slot('rod.flame', 'lit'));
        self::assertNotNull($s->until(fn (TestRig $s) => ! $s->isLit(), 10), 'and the control sees nothing');
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
