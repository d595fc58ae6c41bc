<?php

declare(strict_types=1);

namespace OddSpark\Tests\Process;

use OddSpark\Process\Flow\Balance;
use PHPUnit\Framework\TestCase;

/** Networks of pipes whose flows can be worked out on paper. */
final class BalanceTest extends TestCase
{
    public function test_a_row_of_orifices_shares_the_pressure_by_the_squares(): void
    {
        // by hand: 8 in. across k = 1 and k = 0.5 in a row; q² (1 + 4) = 8
        [$p, $q] = Balance::of(1, [[-1, 0, 1.0, 0.0, null, false, 8.0], [0, -1, 0.5, 0.0, null, false, 0.0]]);
        self::assertEqualsWithDelta(sqrt(8 / 5), $q[0], 1e-4);
        self::assertEqualsWithDelta(8 - 8 / 5, $p[0], 1e-4);
    }

    public function test_what_comes_to_a_tee_leaves_it(): void
    {
        $runs = [[-1, 0, 3.0, 0.0, null, false, 7.0]];
        foreach ([0.3, 0.7, 1.9] as $k) {
            $runs[] = [0, -1, $k, 0.0, null, false, 0.0];
        }
        [$p, $q] = Balance::of(1, $runs);
        self::assertEqualsWithDelta($q[0], $q[1] + $q[2] + $q[3], 1e-4);
        foreach ([0.3, 0.7, 1.9] as $i => $k) {
            self::assertEqualsWithDelta($k * sqrt($p[0]), $q[$i + 1], 1e-4, 'Bernoulli');
        }
    }

    public function test_a_regulator_holds_its_outlet_as_far_as_its_inlet_has_it(): void
    {
        $manifold = fn (float $street): float => Balance::of(2, [
            [-1, 0, 100.0, 0.0, null, false, $street],
            [0, 1, 60.0, 0.0, 3.5, true, 0.0],
            [1, -1, 10.0, 0.0, null, false, 0.0],
        ])[0][1];
        foreach ([5.0, 7.0, 14.0] as $street) {
            self::assertEqualsWithDelta(3.5, $manifold($street), 0.02, "$street in. w.c. in the street");
        }
        self::assertLessThan(2.5, $manifold(2.5));
        self::assertGreaterThan(2.2, $manifold(2.5));
    }

    public function test_a_pump_moves_water_round_an_open_loop_and_none_round_a_shut_one(): void
    {
        $loop = fn (float $valve): array => Balance::of(
            3,
            [
                [0, 1, 4.0, 5.0, null, false, 0.0],
                [1, 2, 6.0, 0.0, null, false, 0.0],
                [2, 0, $valve, 0.0, null, false, 0.0],
            ],
            12.0,
        );
        // by hand: q² (1/16 + 1/36 + 1/9) = 5
        self::assertEqualsWithDelta(sqrt(5 / (1 / 16 + 1 / 36 + 1 / 9)), $loop(3.0)[1][0], 1e-3);
        [$p, $q] = $loop(0.0);
        self::assertSame([0.0, 0.0, 0.0], $q);
        self::assertEqualsWithDelta(5.0, $p[1] - $p[0], 1e-3, 'the whole head stands across the shut valve');
    }

    public function test_a_check_valve_lets_nothing_back_and_what_nothing_leads_to_stands_at_rest(): void
    {
        [, $q] = Balance::of(1, [[0, -1, 2.0, 0.0, null, true, 9.0], [-1, 0, 1.0, 0.0, null, false, 4.0]]);
        self::assertEqualsWithDelta(0.0, $q[0], 1e-9);
        [$p] = Balance::of(2, [[0, 1, 0.0, 0.0, null, false, 0.0]], 12.0);
        self::assertEqualsWithDelta([12.0, 12.0], $p, 1e-6);
    }

    /** Random networks: at every joint what comes leaves, and every run carries what its law says. */
    public function test_whatever_is_joined_to_what_nothing_is_lost_at_a_joint(): void
    {
        mt_srand(7);
        $of = fn (float $most): float => mt_rand(0, 1000) / 1000 * $most;
        for ($try = 0; $try < 200; $try++) {
            $n = mt_rand(2, 8);
            $runs = [];
            for ($i = 0; $i < $n + 4; $i++) {
                $open = mt_rand(0, 3) === 0;
                $runs[] = [
                    mt_rand(0, $n - 1),
                    $open ? -1 : mt_rand(0, $n - 1),
                    mt_rand(0, 4) === 0 ? 0.0 : 0.1 + $of(5),
                    mt_rand(0, 3) === 0 ? $of(4) : 0.0,
                    null,
                    false,
                    $open ? $of(10) : 0.0,
                ];
            }
            [$p, $q] = Balance::of($n, $runs, 2.0);
            $left = array_fill(0, $n, 0.0);
            foreach ($runs as $i => [$a, $b, $k, $adds]) {
                $left[$a] -= $q[$i];
                if ($b >= 0) {
                    $left[$b] += $q[$i];
                }
                $across = $p[$a] - ($b < 0 ? $runs[$i][6] : $p[$b]) + $adds;
                self::assertEqualsWithDelta(
                    $k * ($across <=> 0) * sqrt(abs($across)),
                    $q[$i],
                    0.02,
                    "try $try, run $i",
                );
            }
            self::assertEqualsWithDelta(array_fill(0, $n, 0.0), $left, 0.01, "try $try");
        }
    }
}
