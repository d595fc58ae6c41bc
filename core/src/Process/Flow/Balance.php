<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

/**
 * Pressures at the joints of a network of pipes, and what flows through each of its runs.
 *
 * A run lets through q = k·√Δ, Δ the pressure across it with what a pump, a fan or a warm stack adds (Bernoulli;
 * turbulent flow); a regulator opens as its outlet falls below its set point. What comes to a joint leaves it:
 * Newton's method on the pressures, each step shortened until it helps. A joint that nothing leads to stands at the
 * network's rest pressure.
 *
 * A pipe is: the joints it leads from and to (-1: the open), k, the pressure it adds, the set point of a regulator,
 * whether it lets through one way only, and the pressure of the open.
 *
 * @phpstan-type Pipe array{int, int, float, float, float|null, bool, float}
 */
final class Balance
{
    /** A regulator is wide open this share of its set point below it, and shut as far above. */
    private const BAND = 0.004;

    /** Below this pressure the root is rounded off, so that a run at rest has a slope: much at first, then less. */
    private const ROUND = [1.0, 1e-2, 1e-4, 1e-7];

    /** Of the largest k: what leaks from every joint, so that one that nothing leads to has a pressure. */
    private const LEAK = 1e-8;

    private const STEPS = 40;

    private const HALVINGS = 24;

    /** @var array<string, array{list<float>, list<float>}> what was solved lately */
    private static array $solved = [];

    private const KEPT = 4000;

    /**
     * @param list<Pipe> $runs
     * @return array{list<float>, list<float>} pressure at every joint, flow through every run
     */
    public static function of(int $joints, array $runs, float $rest = 0.0): array
    {
        $key = json_encode([$joints, $runs, $rest], JSON_THROW_ON_ERROR);
        if (isset(self::$solved[$key])) {
            return self::$solved[$key];
        }
        if (count(self::$solved) >= self::KEPT) {
            self::$solved = [];
        }

        return self::$solved[$key] = self::solve($joints, $runs, $rest);
    }

    /**
     * @param list<Pipe> $runs
     * @return array{list<float>, list<float>}
     */
    private static function solve(int $n, array $runs, float $rest): array
    {
        $most = max([1e-6, ...array_column($runs, 2)]);
        $leak = self::LEAK * $most;
        $p = array_fill(0, $n, $rest);
        foreach (self::ROUND as $round) {
            $p = self::nearer($p, $runs, $leak, $rest, $round);
        }
        $q = [];
        foreach ($runs as $run) {
            [$a, $b] = $run;
            $q[] = self::cut(self::flow($run, $a < 0 ? $run[6] : $p[$a], $b < 0 ? $run[6] : $p[$b], $round)[0], $most);
        }

        return [array_map(fn (float $x): float => round($x, 6), $p), $q];
    }

    /**
     * @param list<float> $p
     * @param list<Pipe> $runs
     * @return list<float>
     */
    private static function nearer(array $p, array $runs, float $leak, float $rest, float $round): array
    {
        $n = count($p);
        $most = max([1e-6, ...array_column($runs, 2)]);
        $left = self::left($p, $runs, $leak, $rest, $round);
        for ($step = 0; $step < self::STEPS && self::size($left) > 1e-10 * $most; $step++) {
            $matrix = array_fill(0, $n, array_fill(0, $n, 0.0));
            for ($i = 0; $i < $n; $i++) {
                $matrix[$i][$i] = -$leak;
            }
            foreach ($runs as $run) {
                [$a, $b] = $run;
                [, $da, $db] = self::flow($run, $a < 0 ? $run[6] : $p[$a], $b < 0 ? $run[6] : $p[$b], $round);
                if ($a >= 0) {
                    $matrix[$a][$a] -= $da;
                    if ($b >= 0) {
                        $matrix[$a][$b] -= $db;
                    }
                }
                if ($b >= 0) {
                    $matrix[$b][$b] += $db;
                    if ($a >= 0) {
                        $matrix[$b][$a] += $da;
                    }
                }
            }
            $move = self::eliminate($matrix, array_map(fn (float $x): float => -$x, $left));
            $now = self::size($left);
            for ($t = 1.0, $i = 0; $i < self::HALVINGS; $t /= 2, $i++) {
                $tried = [];
                foreach ($p as $j => $x) {
                    $tried[] = $x + $t * $move[$j];
                }
                $then = self::left($tried, $runs, $leak, $rest, $round);
                if (self::size($then) < $now) {
                    break;
                }
            }
            if (self::size($then) >= $now) {
                break; // as near as figures of this length come
            }
            [$p, $left] = [$tried, $then];
        }

        return $p;
    }

    /**
     * What one run lets through, and how that changes with the pressure at each of its ends.
     *
     * @param Pipe $run
     * @return array{float, float, float}
     */
    private static function flow(array $run, float $pa, float $pb, float $round): array
    {
        [, , $k, $adds, $set, $oneWay] = $run;
        $x = $pa - $pb + $adds;
        if ($k == 0.0 || $oneWay && $x <= 0 || $set !== null && $set <= 0.0) {
            return [0.0, 0.0, 0.0];
        }
        $root = sqrt(abs($x) + $round);
        $q = $k * $x / $root;
        $slope = $k * (0.5 * abs($x) + $round) / ($root * $root * $root);
        if ($set === null) {
            return [$q, $slope, -$slope];
        }
        $band = self::BAND * $set;
        $open = 0.2 + ($set - $pb) / (2 * $band);
        if ($open >= 1) {
            return [$q, $slope, -$slope];
        }
        $open = max(0.0, $open);

        return [$open * $q, $open * $slope, -$open * $slope - ($open > 0 ? $q / (2 * $band) : 0.0)];
    }

    /**
     * What comes to each joint and does not leave it.
     *
     * @param list<float> $p
     * @param list<Pipe> $runs
     * @return list<float>
     */
    private static function left(array $p, array $runs, float $leak, float $rest, float $round): array
    {
        $left = [];
        foreach ($p as $x) {
            $left[] = -$leak * ($x - $rest);
        }
        foreach ($runs as $run) {
            [$a, $b] = $run;
            [$q] = self::flow($run, $a < 0 ? $run[6] : $p[$a], $b < 0 ? $run[6] : $p[$b], $round);
            if ($a >= 0) {
                $left[$a] -= $q;
            }
            if ($b >= 0) {
                $left[$b] += $q;
            }
        }

        return array_values($left);
    }

    /** @param list<float> $left */
    private static function size(array $left): float
    {
        return $left === [] ? 0.0 : max(array_map(abs(...), $left));
    }

    /** To six figures of the largest, and nothing where next to nothing flows. */
    private static function cut(float $q, float $most): float
    {
        return abs($q) < 3e-5 * $most ? 0.0 : (float) sprintf('%.6g', $q);
    }

    /**
     * @param list<list<float>> $m
     * @param list<float> $b
     * @return list<float>
     */
    private static function eliminate(array $m, array $b): array
    {
        $n = count($b);
        for ($i = 0; $i < $n; $i++) {
            $best = $i;
            for ($r = $i + 1; $r < $n; $r++) {
                if (abs($m[$r][$i]) > abs($m[$best][$i])) {
                    $best = $r;
                }
            }
            [$m[$i], $m[$best]] = [$m[$best], $m[$i]];
            [$b[$i], $b[$best]] = [$b[$best], $b[$i]];
            if ($m[$i][$i] == 0.0) {
                continue;
            }
            for ($r = $i + 1; $r < $n; $r++) {
                $f = $m[$r][$i] / $m[$i][$i];
                if ($f != 0.0) {
                    for ($c = $i; $c < $n; $c++) {
                        $m[$r][$c] -= $f * $m[$i][$c];
                    }
                    $b[$r] -= $f * $b[$i];
                }
            }
        }
        $x = array_fill(0, $n, 0.0);
        for ($i = $n - 1; $i >= 0; $i--) {
            $sum = $b[$i];
            for ($c = $i + 1; $c < $n; $c++) {
                $sum -= $m[$i][$c] * $x[$c];
            }
            $x[$i] = $m[$i][$i] == 0.0 ? 0.0 : $sum / $m[$i][$i];
        }

        return array_values($x);
    }
}
