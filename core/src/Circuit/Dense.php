<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/** A small dense complex system, for the few rank-one terms beside the sparse network. */
final class Dense
{
    /**
     * Gauss with partial pivoting.
     *
     * @param list<list<array{float, float}>> $matrix
     * @param list<array{float, float}> $right
     * @return list<array{float, float}>
     */
    public static function solve(array $matrix, array $right): array
    {
        $n = count($right);
        if ($n === 1) {
            return [self::over($right[0], $matrix[0][0])];
        }
        for ($k = 0; $k < $n; $k++) {
            $best = $k;
            for ($i = $k + 1; $i < $n; $i++) {
                if (hypot(...$matrix[$i][$k]) > hypot(...$matrix[$best][$k])) {
                    $best = $i;
                }
            }
            [$matrix[$k], $matrix[$best]] = [$matrix[$best], $matrix[$k]];
            [$right[$k], $right[$best]] = [$right[$best], $right[$k]];
            for ($i = $k + 1; $i < $n; $i++) {
                $f = self::over($matrix[$i][$k], $matrix[$k][$k]);
                for ($j = $k; $j < $n; $j++) {
                    $matrix[$i][$j] = self::less($matrix[$i][$j], $f, $matrix[$k][$j]);
                }
                $right[$i] = self::less($right[$i], $f, $right[$k]);
            }
        }
        for ($k = $n - 1; $k >= 0; $k--) {
            for ($j = $k + 1; $j < $n; $j++) {
                $right[$k] = self::less($right[$k], $matrix[$k][$j], $right[$j]);
            }
            $right[$k] = self::over($right[$k], $matrix[$k][$k]);
        }

        return $right;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @return array{float, float}
     */
    private static function over(array $a, array $b): array
    {
        $d = $b[0] * $b[0] + $b[1] * $b[1];

        return [($a[0] * $b[0] + $a[1] * $b[1]) / $d, ($a[1] * $b[0] - $a[0] * $b[1]) / $d];
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $f
     * @param array{float, float} $b
     * @return array{float, float} a − f b
     */
    private static function less(array $a, array $f, array $b): array
    {
        return [$a[0] - $f[0] * $b[0] + $f[1] * $b[1], $a[1] - $f[0] * $b[1] - $f[1] * $b[0]];
    }
}
