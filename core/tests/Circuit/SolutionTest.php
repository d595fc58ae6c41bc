<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use PHPUnit\Framework\TestCase;

final class SolutionTest extends TestCase
{
    public function test_a_divider_divides(): void
    {
        // 120 V behind 1 Ω, then 59 Ω and 60 Ω: half of it
        $n = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0);
        $v = new Values(3);
        $v->resistor(0, 1.0);
        $v->resistor(1, 1 / 59);
        $v->resistor(2, 1 / 60);
        $v->acSources = [1 => [120.0, 0.0]];
        $s = Solution::of($n, $v);
        self::assertEqualsWithDelta(60.0, $s->acVolts(2, 0), 1e-12);
        self::assertEqualsWithDelta(60 * 60 / 120, $s->dcOhms(2, 0), 1e-12);
    }

    public function test_the_capacitor_under_load_rule_comes_out(): void
    {
        // µF = 2652 A / V at 60 Hz: derived, 10⁶ / 2πf
        $n = new Network(Topology::of(2, [[1, 0], [1, 0]]), 60.0);
        $v = new Values(2);
        $v->resistor(0, 1e6);
        $v->capacitor(1, $n->omega() * 7.5e-6, 0.0);
        $v->acSources = [1 => [120.0 * 1e6, 0.0]];
        $amps = Solution::of($n, $v)->acVolts(1, 0) * $n->omega() * 7.5e-6;
        self::assertEqualsWithDelta(7.5, 2652.6 * $amps / 120, 0.002);
    }

    public function test_a_transformer_has_its_ratio_and_sags_by_its_impedance(): void
    {
        // by hand: 120 V, 5:1, 0.8 Ω in all at the secondary, 40 Ω load: 24 · 40 / 40.8
        $n = new Network(Topology::of(5, [[1, 2], [3, 4], [1, 0], [2, 0], [4, 0]]), 60.0, [[1, 2, 3, 4]]);
        $v = new Values(5);
        $v->re[0] = 1e-9;
        $v->resistor(1, 1 / 40);
        $v->resistor(2, 1e6);
        $v->resistor(3, 1e6);
        $v->resistor(4, 1e6);
        $v->windings = [[1 / (25 * 0.8), 0.0, 5.0]];
        $v->acSources = [1 => [120e6, 0.0]];
        self::assertEqualsWithDelta(24 * 40 / 40.8, Solution::of($n, $v)->acVolts(3, 4), 1e-4);
    }

    public function test_a_floating_island_reads_nothing_and_is_open(): void
    {
        $n = new Network(Topology::of(4, [[1, 0], [2, 3]]), 60.0);
        $v = new Values(2);
        $v->resistor(0, 1.0);
        $v->resistor(1, 0.1);
        $v->acSources = [1 => [120.0, 0.0]];
        $s = Solution::of($n, $v);
        self::assertSame(0.0, $s->acVolts(2, 3));
        self::assertSame(INF, $s->dcOhms(1, 2));
        self::assertEqualsWithDelta(10.0, $s->dcOhms(2, 3), 1e-12);
    }

    public function test_a_meter_between_two_nodes_is_the_same_as_a_resistor_drawn_there(): void
    {
        $branches = [[1, 0], [1, 2], [2, 0], [2, 3], [3, 0]];
        $values = function (float $meter) use ($branches): Values {
            $v = new Values(count($branches) + 1);
            foreach ([1.0, 1e-6, 2e-7, 1e-3, 1e-7, $meter] as $i => $g) {
                $v->resistor($i, $g);
            }
            $v->acSources = [1 => [120.0, 30.0]];

            return $v;
        };
        $drawn = new Network(Topology::of(4, [...$branches, [2, 0]]), 60.0);
        self::assertEqualsWithDelta(
            Solution::of($drawn, $values(1e-7))->acVolts(3, 0),
            Solution::of($drawn, $values(0.0))->with(2, 0, 1e-7)->acVolts(3, 0),
            1e-9,
        );
    }

    public function test_accuracy_is_kept_over_sixteen_decades(): void
    {
        // 1 A through 10⁻⁸ Ω beside 10⁸ Ω: the volts across the small one, relative
        $n = new Network(Topology::of(4, [[1, 2], [2, 3], [3, 0], [1, 0]]), 60.0);
        $v = new Values(4);
        $v->resistor(0, 1e8);
        $v->resistor(1, 1.0);
        $v->resistor(2, 1e-8);
        $v->resistor(3, 0.0);
        $s = Solution::of($n, $v);
        self::assertEqualsWithDelta(1e-8, $s->dcOhms(1, 2), 1e-8 * 1e-6);
    }

    public function test_the_flame_gives_the_mean_of_a_half_wave(): void
    {
        // I = Vpk / (π R), any circuits textbook: 120 V rms straight on a flame of 12 MΩ
        $n = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0, [], [[1, 2]]);
        $v = new Values(3);
        $v->resistor(0, 1e3);
        $v->re[1] = 1 / (2 * 12e6);
        $v->resistor(2, 1e3);
        $v->flames = [[12e6, 1e15]];
        $v->acSources = [1 => [120e3, 0.0]];
        self::assertEqualsWithDelta(120 * M_SQRT2 / (M_PI * 12e6), Solution::of($n, $v)->flameAmps(0), 1e-9);
    }
}
