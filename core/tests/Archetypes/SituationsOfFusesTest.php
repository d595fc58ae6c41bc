<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Run\MachineState;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Situations of fuses, relays and loaded transformers, each from the trade. */
final class SituationsOfFusesTest extends TestCase
{
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
        self::assertLessThan(
            2,
            $s->machine->solution($s->state, $meter)->acVolts($meter[0], $meter[1]),
            'with a meter there, and nothing behind that calls',
        );
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
}
