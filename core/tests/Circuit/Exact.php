<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

/** Textbook nodal analysis with Gauss and forty digits (bcmath): slow, simple, and shares nothing with the core. */
final class Exact
{
    private const DIGITS = 60;

    /**
     * @param list<array{int, int}> $branches
     * @param list<float> $siemens
     * @param array<int, float> $amps into nodes
     * @return list<float> volts of each node; a node that nothing holds is at 0
     */
    public static function dc(array $branches, array $siemens, array $amps, int $nodes): array
    {
        $a = [];
        foreach ($branches as $b => [$p, $q]) {
            if ($siemens[$b] == 0.0 || $p === $q) {
                continue;
            }
            $g = self::exactly($siemens[$b]);
            foreach ([[$p, $q], [$q, $p]] as [$i, $j]) {
                if ($i !== 0) {
                    $a[$i][$i] = bcadd($a[$i][$i] ?? '0', $g, self::DIGITS);
                    if ($j !== 0) {
                        $a[$i][$j] = bcsub($a[$i][$j] ?? '0', $g, self::DIGITS);
                    }
                }
            }
        }
        $right = array_map(self::exactly(...), $amps);
        $order = array_keys($a);
        foreach ($order as $at => $k) {
            if (self::isNothing($a[$k][$k])) {
                continue; // the last of a floating island
            }
            foreach (array_slice($order, $at + 1) as $i) {
                if (! isset($a[$i][$k]) || self::isNothing($a[$i][$k])) {
                    continue;
                }
                $m = bcdiv($a[$i][$k], $a[$k][$k], self::DIGITS);
                foreach ($a[$k] as $j => $v) {
                    $a[$i][$j] = bcsub($a[$i][$j] ?? '0', bcmul($m, $v, self::DIGITS), self::DIGITS);
                }
                $right[$i] = bcsub($right[$i] ?? '0', bcmul($m, $right[$k] ?? '0', self::DIGITS), self::DIGITS);
            }
        }
        $volts = array_fill(0, $nodes, '0');
        foreach (array_reverse($order, true) as $at => $k) {
            if (self::isNothing($a[$k][$k])) {
                continue;
            }
            $sum = $right[$k] ?? '0';
            foreach (array_slice($order, $at + 1) as $j) {
                $sum = bcsub($sum, bcmul($a[$k][$j] ?? '0', $volts[$j], self::DIGITS), self::DIGITS);
            }
            $volts[$k] = bcdiv($sum, $a[$k][$k], self::DIGITS);
        }

        return array_map(floatval(...), $volts);
    }

    private static function isNothing(string $x): bool
    {
        return bccomp($x, '0', 40) === 0;
    }

    private static function exactly(float $x): string
    {
        return sprintf('%.45f', $x);
    }
}
