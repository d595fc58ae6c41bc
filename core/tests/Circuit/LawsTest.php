<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use Eris\Generators;
use Eris\TestTrait;
use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\StaticPart;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use PHPUnit\Framework\TestCase;

/**
 * What holds of every linear network, on random ones: resistors over twelve decades, coils, capacitors, a transformer.
 */
final class LawsTest extends TestCase
{
    use TestTrait;

    private const NODES = 14;

    public function test_kirchhoffs_current_law_and_power_balance(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            [$net, $v, $branches] = self::network($seed);
            $v->acSources = [2 => [1.0, 0.5], 9 => [-0.3, 2.0]];
            $s = Solution::of($net, $v);
            $sum = array_fill(0, self::NODES, [0.0, 0.0]);
            // a current from a difference of volts is as good as the volts are: 1e-13 of the largest, times what joins
            // the node
            $flow = array_fill(0, self::NODES, 0.0);
            $joins = array_fill(0, self::NODES, 0.1 * 4.5 ** 2);
            $largest = max(array_map(fn (int $n) => $s->acVolts($n, 0), range(1, self::NODES - 1)));
            $lost = 0.0;
            $push = function (int $node, float $re, float $im) use (&$sum, &$flow): void {
                $sum[$node][0] += $re;
                $sum[$node][1] += $im;
                $flow[$node] = max($flow[$node], abs($re) + abs($im));
            };
            foreach ($branches as $b => [$p, $q]) {
                [$x, $y] = $s->acPhasor($p, $q);
                $i = [$v->re[$b] * $x - $v->im[$b] * $y, $v->re[$b] * $y + $v->im[$b] * $x];
                $joins[$p] += hypot($v->re[$b], $v->im[$b]);
                $joins[$q] += hypot($v->re[$b], $v->im[$b]);
                $push($p, -$i[0], -$i[1]);
                $push($q, $i[0], $i[1]);
                $lost += $x * $i[0] + $y * $i[1];
            }
            [[$p1, $p2, $s1, $s2]] = $net->windings;
            [$yr, $yi, $n] = $v->windings[0];
            [$px, $py] = $s->acPhasor($p1, $p2);
            [$sx, $sy] = $s->acPhasor($s1, $s2);
            [$dx, $dy] = [$px - $n * $sx, $py - $n * $sy];
            $i = [$yr * $dx - $yi * $dy, $yr * $dy + $yi * $dx];
            foreach ([[$p1, -1], [$p2, 1], [$s1, $n], [$s2, -$n]] as [$node, $times]) {
                $push($node, $times * $i[0], $times * $i[1]);
            }
            $lost += $dx * $i[0] + $dy * $i[1];
            $given = 0.0;
            foreach ($v->acSources as $node => [$a, $c]) {
                $push($node, $a, $c);
                [$x, $y] = $s->acPhasor($node, 0);
                $given += $x * $a + $y * $c;
            }
            for ($node = 1; $node < self::NODES; $node++) {
                self::assertLessThanOrEqual(
                    1e-9 * $flow[$node] + 1e-13 * $largest * $joins[$node],
                    hypot(...$sum[$node]),
                    "node $node, seed $seed",
                );
            }
            self::assertEqualsWithDelta($given, $lost, 1e-7 * abs($given), "power, seed $seed");
            self::assertGreaterThanOrEqual(0.0, $given, "a passive network gives nothing, seed $seed");
        });
    }

    public function test_reciprocity_and_superposition(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            [$net, $v] = self::network($seed);
            $volts = function (array $sources, int $at) use ($net, $v): array {
                $v->acSources = $sources;

                return Solution::of($net, clone $v)->acPhasor($at, 0);
            };
            $a = $volts([3 => [1.0, 0.0]], 11);
            $b = $volts([11 => [1.0, 0.0]], 3);
            // what next to nothing gets through to is rounded against what stands where it is driven
            $own = max(hypot(...$volts([3 => [1.0, 0.0]], 3)), hypot(...$volts([11 => [1.0, 0.0]], 11)));
            self::assertEqualsWithDelta($a[0], $b[0], 1e-9 * hypot(...$a) + 1e-15 * $own, "seed $seed");
            self::assertEqualsWithDelta($a[1], $b[1], 1e-9 * hypot(...$a) + 1e-15 * $own, "seed $seed");
            $one = $volts([3 => [1.0, 0.0]], 7);
            $two = $volts([5 => [0.0, -2.0]], 7);
            $both = $volts([3 => [1.0, 0.0], 5 => [0.0, -2.0]], 7);
            self::assertEqualsWithDelta(
                $one[0] + $two[0],
                $both[0],
                1e-9 * (hypot(...$one) + hypot(...$two)),
                "seed $seed",
            );
        });
    }

    public function test_what_is_eliminated_once_changes_nothing(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            [$plain, $v, $branches] = self::network($seed);
            $v->acSources = [2 => [1.0, 0.0]];
            $v->dcSources = [4 => 1.0];
            $variable = [0, 5, 8];
            $net = new Network(Topology::of(self::NODES, $branches, $variable, [6]), 60.0, $plain->windings);
            $static = new StaticPart($net->topology, clone $v);
            foreach ($variable as $b) {
                // not quite open: an island with a source in it has no volts to compare
                $v->resistor($b, $b === 5 ? 1e-6 : 0.37);
            }
            $once = Solution::of($net, clone $v, $static);
            $whole = Solution::of($plain, clone $v);
            $ac = 1e-13 * max(array_map(fn (int $n) => $whole->acVolts($n, 0), range(1, self::NODES - 1)));
            $dc = 1e-13 * max(array_map(fn (int $n) => abs($whole->dcVolts($n, 0)), range(1, self::NODES - 1)));
            for ($node = 1; $node < self::NODES; $node++) {
                self::assertEqualsWithDelta(
                    $whole->acVolts($node, 0),
                    $once->acVolts($node, 0),
                    $ac + 1e-9 * $whole->acVolts($node, 0),
                    "node $node, seed $seed",
                );
                self::assertEqualsWithDelta(
                    $whole->dcVolts($node, 0),
                    $once->dcVolts($node, 0),
                    $dc + 1e-9 * abs($whole->dcVolts($node, 0)),
                    "node $node, seed $seed",
                );
            }
        });
    }

    /** @return array{Network, Values, list<array{int, int}>} */
    private static function network(int $seed): array
    {
        mt_srand($seed);
        $branches = [];
        for ($i = 1; $i < self::NODES; $i++) {
            $branches[] = [$i, mt_rand(0, $i - 1)];
            if (mt_rand(0, 1) === 1) {
                $branches[] = [$i, mt_rand(0, self::NODES - 1)];
            }
        }
        $windings = [[4, 0, 10, 8]];
        $net = new Network(Topology::of(self::NODES, $branches), 60.0, $windings);
        $v = new Values(count($branches));
        foreach ($branches as $b => [$p, $q]) {
            $ohm = 10 ** (mt_rand(-20, 60) / 10);
            match (mt_rand(0, 5)) {
                0 => $v->capacitor($b, $net->omega() * mt_rand(1, 1000) * 1e-8, 1e-9),
                1 => $v->impedance($b, $ohm, $ohm * mt_rand(1, 30) / 10),
                default => $v->resistor($b, 1 / $ohm),
            };
        }
        $v->windings = [[0.05, -0.02, 4.5]];

        return [$net, $v, $branches];
    }
}
