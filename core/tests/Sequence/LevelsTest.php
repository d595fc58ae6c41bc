<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Controls that give more than on and off: levels, stages, a display with letters and a temperature, a menu. */
final class LevelsTest extends TestCase
{
    /** Common practice, no source: about 1.7 in. w.c. in the first stage, 3.5 in the second. */
    public function test_the_second_coil_of_a_two_stage_valve_raises_the_pressure_and_opens_nothing(): void
    {
        foreach ([['LO', 1.7], ['HI', 0.0], ['LO HI', 3.5]] as [$coils, $inches]) {
            $rig = TestRig::ofModel(Fixtures::small(
                [
                    'panel' => 'supply',
                    'tr' => 'transformer-120-24',
                    'gas' => 'gas-meter',
                    'valve' => 'gas-valve-2-stage',
                    'burners' => 'burners',
                ],
                [
                    ['panel.L', 'tr.H1'],
                    ['panel.N', 'tr.H2'],
                    ['tr.X2', 'valve.C'],
                    ...array_map(fn (string $coil): array => ['tr.X1', "valve.$coil"], explode(' ', $coils)),
                ],
                [],
                ['odd_spark_model' => 2, 'pipes' => [
                    ['id' => 'p1', 'from' => 'gas.out', 'to' => 'valve.in'],
                    ['id' => 'p2', 'from' => 'valve.out', 'to' => 'burners.gas'],
                ]],
            ))->run(20);
            $tap = $rig->plan->model->taps()['valve.manifold'] ?? array_values(array_filter(
                $rig->plan->model->taps(),
                fn ($tap): bool => $tap->label === 'outlet tap of the gas valve',
            ))[0];
            self::assertEqualsWithDelta($inches, $rig->value($tap->of), 0.1, $coils);
        }
    }

    public function test_an_electronic_motor_turns_by_its_highest_live_tap_and_not_without_the_line(): void
    {
        $speed = fn (array $taps, bool $line = true): float => TestRig::ofModel(Fixtures::small(
            ['panel' => 'supply', 'tr' => 'transformer-120-24', 'fan' => 'blower-electronic'],
            [
                ['panel.L', 'tr.H1'],
                ['panel.N', 'tr.H2'],
                ...$line ? [['panel.L', 'fan.L'], ['panel.N', 'fan.N']] : [],
                ['tr.X2', 'fan.C'],
                ...array_map(fn (string $tap): array => ['tr.X1', "fan.$tap"], $taps),
            ],
        ))->run(30)->slot('fan.motor', 'target');
        self::assertSame(0.0, $speed([]));
        self::assertSame(0.62, $speed(['2']));
        self::assertSame(0.88, $speed(['2', '4']));
        self::assertSame(0.0, $speed(['2', '4'], false));
    }

    public function test_a_two_speed_inducer_turns_slower_on_its_low_winding(): void
    {
        $speed = fn (string $at): float => TestRig::ofModel(Fixtures::small(
            ['panel' => 'supply', 'fan' => 'inducer-2-speed'],
            [['panel.L', "fan.$at"], ['panel.N', 'fan.N']],
        ))->run(20)->slot('fan.motor', 'target');
        self::assertSame(1.0, $speed('HI'));
        self::assertEqualsWithDelta(0.72, $speed('LO'), 0.06);
    }

    public function test_levels_are_steady_or_go_with_the_water_and_a_fan_and_a_valve_go_with_them(): void
    {
        $rig = TestRig::ofModel(self::staged())->run(2);
        self::assertSame(40.0, $rig->slot('board.control', 'level')['fan'], 'it starts at a level of its own');
        self::assertEqualsWithDelta(4.0, $rig->dc('board.SIG', 'board.SIGC'), 0.25);
        self::assertEqualsWithDelta(0.4, $rig->slot('board.fan', 'target'), 0.03);
        $rig->run(20);
        self::assertSame('run', $rig->slot('board.control', 'state'));
        foreach ([[100, 100], [150, 58], [180, 30], [60, 100]] as [$water, $level]) {
            $rig->put('water', $water)->run(60);
            self::assertEqualsWithDelta($level, $rig->slot('board.control', 'level')['fan'], 4.0, "$water °F");
            self::assertEqualsWithDelta($level / 100, $rig->slot('board.fan', 'target'), 0.05);
        }
        $dead = TestRig::ofModel(self::staged(), ['board.signal.dead' => true])->run(2);
        self::assertEqualsWithDelta(0.0, $dead->dc('board.SIG', 'board.SIGC'), 1e-3);
        self::assertSame(0.0, $dead->slot('board.fan', 'target'));
    }

    public function test_a_level_does_not_hunt_where_the_water_stands_on_an_edge(): void
    {
        $rig = TestRig::ofModel(self::staged())->run(20);
        $moves = 0;
        $was = null;
        foreach (range(0, 200) as $i) {
            $rig->put('water', 150 + ($i % 2 === 0 ? 0.4 : -0.4))->run(1);
            $moves += $was !== null && $was !== $rig->slot('board.control', 'level')['fan'] ? 1 : 0;
            $was = $rig->slot('board.control', 'level')['fan'];
        }
        self::assertLessThanOrEqual(1, $moves);
    }

    public function test_a_display_shows_letters_and_a_temperature_and_is_dark_without_power(): void
    {
        $plan = Compiler::compile(self::staged());
        $bench = new Bench($plan, Fault::none(), new Memory());
        $state = $bench->resume($bench->arrive('cold')->state);
        $do = function (float $at, array $act) use ($bench, &$state) {
            [$state, $outcome] = $bench->do($state, Catalogue::act(['at_s' => $at] + $act));

            return $outcome;
        };
        $do(3, ['act' => 'wait']);
        self::assertSame('shows 3A', $bench->machine()->shows($state, 'board.control'));
        $tap = array_key_first($plan->model->taps());
        self::assertSame('120 °F', $do(4, ['act' => 'display', 'tap' => $tap])->reading->text());
        $do(5, ['act' => 'set', 'part' => 'panel', 'lever' => 'main', 'to' => 'off']);
        self::assertSame('dark', $do(9, ['act' => 'read', 'of' => 'display'])->reading->text());
    }

    public function test_a_time_that_is_set_in_its_menu_is_the_one_it_goes_by(): void
    {
        foreach (['short' => 5.0, 'long' => 60.0] as $at => $seconds) {
            $rig = TestRig::ofModel(self::staged())->set('board.menu', $at);
            $took = $rig->until(fn (TestRig $r): bool => $r->slot('board.control', 'state') === 'run', 120);
            self::assertEqualsWithDelta($seconds, $took, 0.6, $at);
        }
    }

    public function test_what_is_wrong_with_a_level_is_said(): void
    {
        foreach ([
            [['fan' => 140], '/levels/fan: Must be 0 to 100 per cent'],
            [['fan' => ['input' => 'air', 'at' => [[1, 2], [3, 4]]]], '/levels/fan/input: Must be one of the inputs'],
            [['fan' => ['input' => 'water', 'at' => [[1, 2], [1, 4]]]], '/levels/fan/at: Must be two pairs'],
            [['pump' => 50], 'follows the level "pump"'],
        ] as [$levels, $says]) {
            try {
                Compiler::compile(self::staged($levels));
                self::fail($says);
            } catch (DocumentError $e) {
                self::assertStringContainsString($says, $e->getMessage());
            }
        }
    }

    /** @param array<string, mixed> $levels of its first state */
    private static function staged(array $levels = ['fan' => 40]): Model
    {
        $state = fn (string $title, array $levels, string $lamp, array $guards): array => [
            'title' => $title,
            'outputs' => [],
            'levels' => $levels,
            'lamp' => $lamp,
            'guards' => $guards,
        ];
        $along = ['input' => 'water', 'at' => [[120, 100], [170, 30]]];

        return Fixtures::small(
            ['panel' => 'supply', 'board' => 'letter-board'],
            [
                ['panel.L', 'board.L'],
                ['panel.N', 'board.N'],
                ['board.SIG', 'board.FAN'],
                ['board.SIGC', 'board.FANC'],
            ],
            ['water' => ['type' => 'still', 'value' => 120]],
            [
                'taps' => [
                    'reads' => [
                        'of' => 'water',
                        'instrument' => 'display',
                        'part' => 'board',
                        'label' => 'its display',
                    ],
                ],
                'kinds' => ['letter-board' => [
                    'kind' => 'letter-board',
                    'version' => 1,
                    'title' => 'control with a display',
                    'family' => 'control',
                    'symbol' => 'control',
                    'size' => [200, 100],
                    'look' => 'Whole.',
                    'terminals' => array_map(
                        fn (int $x): array => ['at' => [$x, 0]],
                        ['L' => 20, 'N' => 50, 'SIG' => 80, 'SIGC' => 110, 'FAN' => 140, 'FANC' => 170],
                    ),
                    'primitives' => [
                        'menu' => ['type' => 'lever', 'positions' => ['short', 'long'], 'at' => 'short'],
                        'control' => [
                            'type' => 'control',
                            'inputs' => [
                                'supply' => ['ac' => ['L', 'N'], 'on' => 80, 'off' => 60],
                                'water' => ['of' => 'water', 'on' => 200, 'off' => 190],
                            ],
                            'set_by' => ['purge_s' => ['by' => 'menu', 'at' => ['short' => 5, 'long' => 60]]],
                            'table' => [
                                'title' => 'Two states',
                                'supply' => 'supply',
                                'start' => 'purge',
                                'times' => ['purge_s' => 10],
                                'states' => [
                                    'purge' => $state(
                                        'Purges',
                                        $levels,
                                        'shows 3A',
                                        [['after' => 'purge_s', 'go' => 'run']],
                                    ),
                                    'run' => $state(
                                        'Runs',
                                        ['fan' => $along],
                                        'shows 3H',
                                        [['if' => ['water' => true], 'go' => 'purge']],
                                    ),
                                ],
                            ],
                        ],
                        'signal' => [
                            'type' => 'signal',
                            'between' => ['SIG', 'SIGC'],
                            'follows' => 'control',
                            'key' => 'level.fan',
                            'volts' => 10,
                            'ohm' => 100,
                        ],
                        'fan' => [
                            'type' => 'electronic-motor',
                            'line' => 'L',
                            'common' => 'N',
                            'signal' => ['FAN', 'FANC'],
                            'signal_v' => [0, 10],
                            'run' => [60, 20],
                            'run_v' => 80,
                            'tau_s' => 2,
                        ],
                    ],
                    'controls' => ['menu' => ['label' => 'purge, in its menu']],
                    'modes' => [
                        'dead' => [
                            'title' => 'dead',
                            'set' => ['control.inputs.supply.dead' => true],
                            'weight' => 1,
                            'repair' => 'control',
                        ],
                    ],
                ]],
            ],
        );
    }
}
