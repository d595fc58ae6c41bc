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
        self::assertGreaterThan(
            50,
            $s->until(fn (TestRig $s) => $s->slot('board.control', 'state') === 'lockout', 400),
        );
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
}
