<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * Nodal analysis by star-mesh elimination.
 *
 * Each pivot is the sum of the admittances that still end at the node, never a difference, so
 * relative accuracy is kept for any ratio of resistances (the Grassmann-Taksar-Heyman argument,
 * Operations Research 33 (1985) 1107). A node that nothing holds, the last of a floating island,
 * shows as a pivot of exactly zero and is taken as that island's reference.
 *
 * Method: Ho, Ruehli, Brennan, "The modified nodal approach to network analysis",
 * IEEE Trans. CAS-22 (1975) 504, without its extra unknowns: every source has an impedance.
 */
final class Elimination
{
    /** @var list<float> inverse pivots */
    private array $inverseRe = [];

    /** @var list<float> */
    private array $inverseIm = [];

    /** @var list<float> share of each neighbour in a node's voltage */
    private array $shareRe = [];

    /** @var list<float> */
    private array $shareIm = [];

    private function __construct(private readonly Topology $topology, private readonly bool $complex) {}

    /**
     * @param list<float> $re conductance of each branch, S
     * @param list<float> $im susceptance of each branch, S
     */
    public static function ac(Topology $t, array $re, array $im): self
    {
        $self = new self($t, true);
        [$yr, $er] = self::scatter($t, $re);
        [$yi, $ei] = self::scatter($t, $im);
        $start = $t->start;
        $near = $t->near;
        $slot = $t->slot;
        $fill = $t->fill;
        $f = 0;
        $fr = $fi = $ir = $ii = [];
        foreach ($t->order as $k => $node) {
            $from = $start[$k];
            $to = $start[$k + 1];
            $kr = $er[$node];
            $ki = $ei[$node];
            $pr = $kr;
            $pi = $ki;
            for ($e = $from; $e < $to; $e++) {
                $pr += $yr[$slot[$e]];
                $pi += $yi[$slot[$e]];
            }
            $d = $pr * $pr + $pi * $pi;
            if ($d == 0.0) {
                $ir[] = $ii[] = 0.0;
                for ($e = $from; $e < $to; $e++) {
                    $fr[] = $fi[] = 0.0;
                }
                $f += ($to - $from) * ($to - $from - 1) >> 1;

                continue;
            }
            $vr = $pr / $d;
            $vi = -$pi / $d;
            $ir[] = $vr;
            $ii[] = $vi;
            for ($e = $from; $e < $to; $e++) {
                $ar = $yr[$slot[$e]];
                $ai = $yi[$slot[$e]];
                $sr = $ar * $vr - $ai * $vi;
                $si = $ar * $vi + $ai * $vr;
                $fr[] = $sr;
                $fi[] = $si;
                $j = $near[$e];
                $er[$j] += $sr * $kr - $si * $ki;
                $ei[$j] += $sr * $ki + $si * $kr;
                for ($g = $e + 1; $g < $to; $g++) {
                    $br = $yr[$slot[$g]];
                    $bi = $yi[$slot[$g]];
                    $s = $fill[$f++];
                    $yr[$s] += $sr * $br - $si * $bi;
                    $yi[$s] += $sr * $bi + $si * $br;
                }
            }
        }
        $self->inverseRe = $ir;
        $self->inverseIm = $ii;
        $self->shareRe = $fr;
        $self->shareIm = $fi;

        return $self;
    }

    /** @param list<float> $conductance of each branch, S */
    public static function dc(Topology $t, array $conductance): self
    {
        $self = new self($t, false);
        [$y, $earth] = self::scatter($t, $conductance);
        $start = $t->start;
        $near = $t->near;
        $slot = $t->slot;
        $fill = $t->fill;
        $f = 0;
        $share = $inverse = [];
        foreach ($t->order as $k => $node) {
            $from = $start[$k];
            $to = $start[$k + 1];
            $toEarth = $earth[$node];
            $pivot = $toEarth;
            for ($e = $from; $e < $to; $e++) {
                $pivot += $y[$slot[$e]];
            }
            $inverse[] = $v = $pivot == 0.0 ? 0.0 : 1.0 / $pivot;
            for ($e = $from; $e < $to; $e++) {
                $s = $y[$slot[$e]] * $v;
                $share[] = $s;
                $earth[$near[$e]] += $s * $toEarth;
                for ($g = $e + 1; $g < $to; $g++) {
                    $y[$fill[$f++]] += $s * $y[$slot[$g]];
                }
            }
        }
        $self->inverseRe = $inverse;
        $self->shareRe = $share;

        return $self;
    }

    /**
     * Node voltages for injected currents.
     *
     * @param list<float> $re current into each node, A
     * @param list<float> $im
     * @return array{list<float>, list<float>, bool} real and imaginary volts of each node, and
     *     whether current was forced into an island from which it has no way back
     */
    public function solve(array $re, array $im = []): array
    {
        return $this->complex ? $this->solveAc($re, $im) : $this->solveDc($re);
    }

    /**
     * Impedance between two nodes: with Y = LDLᵀ it is Σ c²/d over the forward pass alone, which meets
     * only the few nodes that the two lead to.
     *
     * @return array{float, float}|null Ω; null when nothing joins them
     */
    public function between(int $a, int $b): ?array
    {
        ['order' => $order, 'start' => $start, 'near' => $near] = (array) $this->topology;
        $cr = array_fill(0, $this->topology->nodes, 0.0);
        $ci = $cr;
        $cr[$a] = 1.0;
        $cr[$b] -= 1.0;
        $cr[0] = 0.0;
        $zr = $zi = 0.0;
        foreach ($order as $k => $node) {
            $ar = $cr[$node];
            $ai = $ci[$node];
            if ($ar == 0.0 && $ai == 0.0) {
                continue;
            }
            $vr = $this->inverseRe[$k];
            $vi = $this->inverseIm[$k];
            if ($vr == 0.0 && $vi == 0.0) {
                if (abs($ar) + abs($ai) > 1e-9) {
                    return null;
                }
                continue;
            }
            $sr = $ar * $ar - $ai * $ai;
            $si = 2 * $ar * $ai;
            $zr += $sr * $vr - $si * $vi;
            $zi += $sr * $vi + $si * $vr;
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $j = $near[$e];
                $cr[$j] += $this->shareRe[$e] * $ar - $this->shareIm[$e] * $ai;
                $ci[$j] += $this->shareRe[$e] * $ai + $this->shareIm[$e] * $ar;
            }
        }

        return [$zr, $zi];
    }

    /**
     * @param list<float> $cr
     * @param list<float> $ci
     * @return array{list<float>, list<float>, bool}
     */
    private function solveAc(array $cr, array $ci): array
    {
        ['order' => $order, 'start' => $start, 'near' => $near] = (array) $this->topology;
        $fr = $this->shareRe;
        $fi = $this->shareIm;
        $ir = $this->inverseRe;
        $ii = $this->inverseIm;
        $stranded = false;
        $forced = 0.0;
        foreach ($cr as $n => $v) {
            $forced = max($forced, abs($v), abs($ci[$n]));
        }
        foreach ($order as $k => $node) {
            $ar = $cr[$node];
            $ai = $ci[$node];
            if ($ar == 0.0 && $ai == 0.0) {
                continue;
            }
            if ($ir[$k] == 0.0 && $ii[$k] == 0.0) {
                $stranded = $stranded || abs($ar) + abs($ai) > 1e-9 * $forced;

                continue;
            }
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $j = $near[$e];
                $cr[$j] += $fr[$e] * $ar - $fi[$e] * $ai;
                $ci[$j] += $fr[$e] * $ai + $fi[$e] * $ar;
            }
        }
        $vr = array_fill(0, $this->topology->nodes, 0.0);
        $vi = $vr;
        for ($k = count($order) - 1; $k >= 0; $k--) {
            $node = $order[$k];
            $xr = $ir[$k] * $cr[$node] - $ii[$k] * $ci[$node];
            $xi = $ir[$k] * $ci[$node] + $ii[$k] * $cr[$node];
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $j = $near[$e];
                $xr += $fr[$e] * $vr[$j] - $fi[$e] * $vi[$j];
                $xi += $fr[$e] * $vi[$j] + $fi[$e] * $vr[$j];
            }
            $vr[$node] = $xr;
            $vi[$node] = $xi;
        }

        return [$vr, $vi, $stranded];
    }

    /**
     * @param list<float> $c
     * @return array{list<float>, list<float>, bool}
     */
    private function solveDc(array $c): array
    {
        ['order' => $order, 'start' => $start, 'near' => $near] = (array) $this->topology;
        $share = $this->shareRe;
        $inverse = $this->inverseRe;
        $stranded = false;
        $forced = 0.0;
        foreach ($c as $v) {
            $forced = max($forced, abs($v));
        }
        foreach ($order as $k => $node) {
            $a = $c[$node];
            if ($a == 0.0) {
                continue;
            }
            if ($inverse[$k] == 0.0) {
                $stranded = $stranded || abs($a) > 1e-9 * $forced;

                continue;
            }
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $c[$near[$e]] += $share[$e] * $a;
            }
        }
        $v = array_fill(0, $this->topology->nodes, 0.0);
        for ($k = count($order) - 1; $k >= 0; $k--) {
            $node = $order[$k];
            $x = $inverse[$k] * $c[$node];
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $x += $share[$e] * $v[$near[$e]];
            }
            $v[$node] = $x;
        }

        return [$v, [], $stranded];
    }

    /**
     * Branch values summed into slots, and into each node's admittance to earth.
     *
     * @param list<float> $values
     * @return array{list<float>, list<float>}
     */
    private static function scatter(Topology $t, array $values): array
    {
        $y = array_fill(0, $t->slots, 0.0);
        $earth = array_fill(0, $t->nodes, 0.0);
        $slotOf = $t->slotOf;
        foreach ($t->earthOf as $b => $node) {
            if ($node >= 0) {
                $earth[$node] += $values[$b];
            } else {
                $y[$slotOf[$b]] += $values[$b];
            }
        }
        $y[0] = 0.0; // branches with both ends on one node were sent here

        return [$y, $earth];
    }
}
