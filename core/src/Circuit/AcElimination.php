<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * Nodal analysis at the supply frequency by star-mesh elimination: Y = LDLᵀ.
 *
 * Each pivot is the sum of the admittances that still end at the node, never a difference, so
 * relative accuracy is kept for any ratio of resistances (the Grassmann-Taksar-Heyman argument,
 * Operations Research 33 (1985) 1107). A node that nothing holds, the last of a floating island,
 * shows as a pivot of exactly zero and is taken as that island's reference.
 *
 * The early pivots, which no variable branch touches, can be eliminated once and serve again
 * ({@see early}, {@see finish}). Most of what is asked is a dot product of two forward vectors; the
 * backward pass is needed for the volts of nodes only, and for early nodes only when one is read.
 *
 * Method: Ho, Ruehli, Brennan, "The modified nodal approach to network analysis",
 * IEEE Trans. CAS-22 (1975) 504, without its extra unknowns: every source has an impedance.
 *
 * A vector is [real by node, imaginary by node, the pivots it meets, whether it forces current into
 * an island from which there is no way back]; nodes that it does not meet are not in it.
 */
final class AcElimination
{
    /** @var list<float> inverse pivots */
    private array $ir = [];

    /** @var list<float> */
    private array $ii = [];

    /** @var list<float> share of each neighbour in a node's voltage */
    private array $fr = [];

    /** @var list<float> */
    private array $fi = [];

    private int $done = 0;

    private int $filled = 0;

    /**
     * @param list<float> $yr by slot
     * @param list<float> $er to earth, by node
     * @param list<float> $yi
     * @param list<float> $ei
     */
    private function __construct(
        private readonly Topology $topology,
        private array $yr,
        private array $er,
        private array $yi,
        private array $ei,
    ) {}

    /**
     * @param list<float> $re conductance of each branch, S
     * @param list<float> $im susceptance of each branch, S
     */
    public static function of(Topology $t, array $re, array $im): self
    {
        $varying = array_flip($t->variable);

        return self::early($t, $re, $im)->finish(
            array_values(array_intersect_key($re, $varying)),
            array_values(array_intersect_key($im, $varying)),
        );
    }

    /**
     * All that the variable branches do not touch, eliminated.
     *
     * @param list<float> $re
     * @param list<float> $im
     */
    public static function early(Topology $t, array $re, array $im): self
    {
        foreach ($t->variable as $b) {
            $re[$b] = $im[$b] = 0.0;
        }
        $self = new self($t, ...$t->scatter($re), ...$t->scatter($im));
        $self->through($t->early);

        return $self;
    }

    /**
     * The rest, with the variable branches as they are in one state.
     *
     * @param list<float> $re of the variable branches alone, in the order of {@see Topology::$variable}
     * @param list<float> $im
     */
    public function finish(array $re, array $im): self
    {
        $whole = clone $this;
        $t = $this->topology;
        foreach ($t->variable as $i => $b) {
            $node = $t->earthOf[$b];
            if ($node >= 0) {
                $whole->er[$node] += $re[$i];
                $whole->ei[$node] += $im[$i];
            } elseif ($t->slotOf[$b] > 0) {
                $whole->yr[$t->slotOf[$b]] += $re[$i];
                $whole->yi[$t->slotOf[$b]] += $im[$i];
            }
        }
        $whole->through(count($t->order));
        $whole->yr = $whole->yi = $whole->er = $whole->ei = [];

        return $whole;
    }

    /**
     * The forward pass for currents into some nodes.
     *
     * @param array<int, array{float, float}> $amps by node, real and imaginary; what is given to earth is nothing
     * @return array{array<int, float>, array<int, float>, list<int>, bool}
     */
    public function forward(array $amps): array
    {
        return $this->goOn($this->begin($amps));
    }

    /**
     * The forward pass through the early pivots: the same for all states that have them in common.
     *
     * @param array<int, array{float, float}> $amps
     * @return array{array<int, float>, array<int, float>, list<int>, bool, float, int} a vector on its
     *     way, the largest of the amps, and how many of its pivots it has met
     */
    public function begin(array $amps): array
    {
        $t = $this->topology;
        $met = $t->met(array_keys($amps));
        $cr = $ci = [];
        foreach ($met as $k) {
            $cr[$t->order[$k]] = $ci[$t->order[$k]] = 0.0;
        }
        $forced = 0.0;
        foreach ($amps as $node => [$a, $b]) {
            if ($node !== 0) {
                $cr[$node] = $a;
                $ci[$node] = $b;
                $forced = max($forced, abs($a), abs($b));
            }
        }
        $early = 0;
        while (isset($met[$early]) && $met[$early] < $t->early) {
            $early++;
        }
        $vector = [$cr, $ci, $met, false, $forced, 0];

        return $early === 0 ? $vector : $this->pass($vector, $early);
    }

    /**
     * The rest of a forward pass.
     *
     * @param array{array<int, float>, array<int, float>, list<int>, bool, float, int} $begun
     * @return array{array<int, float>, array<int, float>, list<int>, bool}
     */
    public function goOn(array $begun): array
    {
        [$cr, $ci, $met, $stranded] = $this->pass($begun, count($begun[2]));

        return [$cr, $ci, $met, $stranded];
    }

    /**
     * @param array{array<int, float>, array<int, float>, list<int>, bool, float, int} $vector
     * @return array{array<int, float>, array<int, float>, list<int>, bool, float, int}
     */
    private function pass(array $vector, int $until): array
    {
        [$cr, $ci, $met, $stranded, $forced, $m] = $vector;
        $t = $this->topology;
        $order = $t->order;
        $start = $t->start;
        $near = $t->near;
        $fr = $this->fr;
        $fi = $this->fi;
        for (; $m < $until; $m++) {
            $k = $met[$m];
            $node = $order[$k];
            $ar = $cr[$node];
            $ai = $ci[$node];
            if ($this->ir[$k] == 0.0 && $this->ii[$k] == 0.0) {
                $stranded = $stranded || abs($ar) + abs($ai) > 1e-9 * $forced;

                continue;
            }
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $j = $near[$e];
                $cr[$j] += $fr[$e] * $ar - $fi[$e] * $ai;
                $ci[$j] += $fr[$e] * $ai + $fi[$e] * $ar;
            }
        }

        return [$cr, $ci, $met, $stranded, $forced, $m];
    }

    /**
     * aᵀY⁻¹b for two forward vectors.
     *
     * @param array{array<int, float>, array<int, float>, list<int>, bool} $a
     * @param array{array<int, float>, array<int, float>, list<int>, bool} $b
     * @return array{float, float}
     */
    public function dot(array $a, array $b): array
    {
        if (count($b[2]) < count($a[2])) {
            [$a, $b] = [$b, $a];
        }
        [$ar, $ai, $met] = $a;
        [$br, $bi] = $b;
        $x = $y = 0.0;
        $order = $this->topology->order;
        foreach ($met as $k) {
            $n = $order[$k];
            if (! isset($br[$n])) {
                continue;
            }
            $pr = $ar[$n] * $br[$n] - $ai[$n] * $bi[$n];
            $pi = $ar[$n] * $bi[$n] + $ai[$n] * $br[$n];
            $x += $pr * $this->ir[$k] - $pi * $this->ii[$k];
            $y += $pr * $this->ii[$k] + $pi * $this->ir[$k];
        }

        return [$x, $y];
    }

    /**
     * aᵢᵀY⁻¹aⱼ for every two of some vectors, the lower triangle of them: what {@see dot} gives, all at once.
     *
     * @param list<array{array<int, float>, array<int, float>, list<int>, bool}> $vectors
     * @return list<list<array{float, float}>>
     */
    public function dots(array $vectors): array
    {
        $order = $this->topology->order;
        $ir = $this->ir;
        $ii = $this->ii;
        $dots = [];
        foreach ($vectors as $i => [$ar, $ai, $met]) {
            $nodes = $sr = $si = [];
            foreach ($met as $k) {
                $n = $order[$k];
                $nodes[] = $n;
                $sr[] = $ar[$n] * $ir[$k] - $ai[$n] * $ii[$k];
                $si[] = $ar[$n] * $ii[$k] + $ai[$n] * $ir[$k];
            }
            $row = [];
            for ($j = 0; $j <= $i; $j++) {
                $br = $vectors[$j][0];
                $bi = $vectors[$j][1];
                $x = $y = 0.0;
                foreach ($nodes as $m => $n) {
                    if (isset($br[$n])) {
                        $x += $sr[$m] * $br[$n] - $si[$m] * $bi[$n];
                        $y += $sr[$m] * $bi[$n] + $si[$m] * $br[$n];
                    }
                }
                $row[] = [$x, $y];
            }
            $dots[] = $row;
        }

        return $dots;
    }

    /**
     * A vector and so much of some others.
     *
     * @param array{array<int, float>, array<int, float>, list<int>, bool} $a
     * @param list<array{array{array<int, float>, array<int, float>, list<int>, bool}, float, float}> $others each with
     *     its factor, re and im
     * @return array{array<int, float>, array<int, float>} by node
     */
    public function sum(array $a, array $others): array
    {
        [$cr, $ci] = $a;
        foreach ($others as [[$br, $bi], $re, $im]) {
            foreach ($br as $n => $x) {
                $y = $bi[$n];
                $cr[$n] = ($cr[$n] ?? 0.0) + $x * $re - $y * $im;
                $ci[$n] = ($ci[$n] ?? 0.0) + $x * $im + $y * $re;
            }
        }

        return [$cr, $ci];
    }

    /**
     * The backward pass: volts of the late nodes, or, given those, of the early ones too.
     *
     * @param array{array<int, float>, array<int, float>} $vector from {@see sum}
     * @param array{list<float>, list<float>}|null $late volts of the late nodes, to go on from
     * @return array{list<float>, list<float>} by node
     */
    public function back(array $vector, ?array $late = null): array
    {
        $t = $this->topology;
        $order = $t->order;
        $start = $t->start;
        $near = $t->near;
        $fr = $this->fr;
        $fi = $this->fi;
        $ir = $this->ir;
        $ii = $this->ii;
        [$cr, $ci] = $vector;
        [$vr, $vi] = $late ?? [array_fill(0, $t->nodes, 0.0), array_fill(0, $t->nodes, 0.0)];
        [$from, $until] = $late === null ? [count($order) - 1, $t->early] : [$t->early - 1, 0];
        for ($k = $from; $k >= $until; $k--) {
            $node = $order[$k];
            $xr = $xi = 0.0;
            if (isset($cr[$node])) {
                $a = $cr[$node];
                $b = $ci[$node];
                $xr = $ir[$k] * $a - $ii[$k] * $b;
                $xi = $ir[$k] * $b + $ii[$k] * $a;
            }
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $j = $near[$e];
                $xr += $fr[$e] * $vr[$j] - $fi[$e] * $vi[$j];
                $xi += $fr[$e] * $vi[$j] + $fi[$e] * $vr[$j];
            }
            $vr[$node] = $xr;
            $vi[$node] = $xi;
        }

        return [$vr, $vi];
    }

    /** Eliminates on, up to a pivot. */
    private function through(int $until): void
    {
        $t = $this->topology;
        $order = $t->order;
        $start = $t->start;
        $near = $t->near;
        $slot = $t->slot;
        $fill = $t->fill;
        $yr = $this->yr;
        $yi = $this->yi;
        $er = $this->er;
        $ei = $this->ei;
        $fr = $this->fr;
        $fi = $this->fi;
        $ir = $this->ir;
        $ii = $this->ii;
        $f = $this->filled;
        $this->yr = $this->yi = $this->er = $this->ei = $this->fr = $this->fi = $this->ir = $this->ii = [];
        for ($k = $this->done; $k < $until; $k++) {
            $node = $order[$k];
            $from = $start[$k];
            $to = $start[$k + 1];
            $pr = $kr = $er[$node];
            $pi = $ki = $ei[$node];
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
        $this->yr = $yr;
        $this->yi = $yi;
        $this->er = $er;
        $this->ei = $ei;
        $this->fr = $fr;
        $this->fi = $fi;
        $this->ir = $ir;
        $this->ii = $ii;
        $this->done = $until;
        $this->filled = $f;
    }
}
