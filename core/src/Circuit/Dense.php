<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * A small dense symmetric system, for the few rank-one terms beside the sparse network: M = LDLᵀ, factored
 * once, solved for one right side after the other.
 *
 * Without pivoting: of a passive network the real part of M is positive definite, and growth is then
 * bounded (Higham, "Factorizing complex symmetric matrices with positive definite real and
 * imaginary parts", Mathematics of Computation 67 (1998) 1591; title and place from memory).
 */
final class Dense
{
    /**
     * @param int $n rows
     * @param list<float> $lr of L by rows, below the diagonal
     * @param list<float> $li
     * @param list<float> $dr inverse of D
     * @param list<float> $di
     */
    private function __construct(
        private readonly int $n,
        private readonly array $lr,
        private readonly array $li,
        private readonly array $dr,
        private readonly array $di,
    ) {}

    /** @param list<list<array{float, float}>> $matrix symmetric; what lies above the diagonal is not looked at */
    public static function of(array $matrix): self
    {
        $lr = $li = $dr = $di = $ur = $ui = [];
        foreach ($matrix as $i => $row) {
            $base = $i * ($i - 1) >> 1;
            [$pr, $pi] = $row[$i];
            for ($j = 0; $j < $i; $j++) {
                [$x, $y] = $row[$j];
                $other = $j * ($j - 1) >> 1;
                for ($k = 0; $k < $j; $k++) { // u = L D so far, of this row
                    $x -= $ur[$k] * $lr[$other + $k] - $ui[$k] * $li[$other + $k];
                    $y -= $ur[$k] * $li[$other + $k] + $ui[$k] * $lr[$other + $k];
                }
                $ur[$j] = $x;
                $ui[$j] = $y;
                $lr[$base + $j] = $a = $x * $dr[$j] - $y * $di[$j];
                $li[$base + $j] = $b = $x * $di[$j] + $y * $dr[$j];
                $pr -= $x * $a - $y * $b;
                $pi -= $x * $b + $y * $a;
            }
            $size = $pr * $pr + $pi * $pi;
            $dr[$i] = $pr / $size;
            $di[$i] = -$pi / $size;
        }

        return new self(count($matrix), $lr, $li, $dr, $di);
    }

    /**
     * @param list<array{float, float}> $right
     * @return list<array{float, float}>
     */
    public function solve(array $right): array
    {
        $lr = $this->lr;
        $li = $this->li;
        $xr = $xi = [];
        foreach ($right as $i => [$a, $b]) {
            $base = $i * ($i - 1) >> 1;
            for ($j = 0; $j < $i; $j++) {
                $a -= $lr[$base + $j] * $xr[$j] - $li[$base + $j] * $xi[$j];
                $b -= $lr[$base + $j] * $xi[$j] + $li[$base + $j] * $xr[$j];
            }
            $xr[$i] = $a;
            $xi[$i] = $b;
        }
        for ($i = $this->n - 1; $i >= 0; $i--) {
            $a = $xr[$i] * $this->dr[$i] - $xi[$i] * $this->di[$i];
            $b = $xr[$i] * $this->di[$i] + $xi[$i] * $this->dr[$i];
            for ($k = $i + 1; $k < $this->n; $k++) {
                $at = ($k * ($k - 1) >> 1) + $i;
                $a -= $lr[$at] * $xr[$k] - $li[$at] * $xi[$k];
                $b -= $lr[$at] * $xi[$k] + $li[$at] * $xr[$k];
            }
            $xr[$i] = $a;
            $xi[$i] = $b;
            $right[$i] = [$a, $b];
        }

        return $right;
    }
}
