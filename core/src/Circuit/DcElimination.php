<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * The same at DC, where all is real: see {@see AcElimination}.
 *
 * A vector is [amps by node, the pivots it meets, whether it forces current into an island from which
 * there is no way back].
 */
final class DcElimination
{
    /** @var list<float> inverse pivots */
    private array $inverse = [];

    /** @var list<float> share of each neighbour in a node's voltage */
    private array $share = [];

    private int $done = 0;

    private int $filled = 0;

    /**
     * @param list<float> $y by slot
     * @param list<float> $earth by node
     */
    private function __construct(private readonly Topology $topology, private array $y, private array $earth) {}

    /** @param list<float> $conductance of each branch, S */
    public static function of(Topology $t, array $conductance): self
    {
        return self::early($t, $conductance)->finish(
            array_values(array_intersect_key($conductance, array_flip($t->variable))),
        );
    }

    /**
     * All that the variable branches do not touch, eliminated.
     *
     * @param list<float> $conductance
     */
    public static function early(Topology $t, array $conductance): self
    {
        foreach ($t->variable as $b) {
            $conductance[$b] = 0.0;
        }
        $self = new self($t, ...$t->scatter($conductance));
        $self->through($t->early);

        return $self;
    }

    /**
     * The rest, with the variable branches as they are in one state.
     *
     * @param list<float> $conductance of the variable branches alone, in the order of {@see Topology::$variable}
     */
    public function finish(array $conductance): self
    {
        $whole = clone $this;
        $t = $this->topology;
        foreach ($t->variable as $i => $b) {
            $node = $t->earthOf[$b];
            if ($node >= 0) {
                $whole->earth[$node] += $conductance[$i];
            } elseif ($t->slotOf[$b] > 0) {
                $whole->y[$t->slotOf[$b]] += $conductance[$i];
            }
        }
        $whole->through(count($t->order));
        $whole->y = $whole->earth = [];

        return $whole;
    }

    /**
     * @param array<int, float> $amps by node
     * @return array{array<int, float>, list<int>, bool}
     */
    public function forward(array $amps): array
    {
        $t = $this->topology;
        $order = $t->order;
        $met = $t->met(array_keys($amps));
        $c = [];
        foreach ($met as $k) {
            $c[$order[$k]] = 0.0;
        }
        $forced = 0.0;
        foreach ($amps as $node => $a) {
            if ($node !== 0) {
                $c[$node] = $a;
                $forced = max($forced, abs($a));
            }
        }
        $stranded = false;
        foreach ($met as $k) {
            $a = $c[$order[$k]];
            if ($this->inverse[$k] == 0.0) {
                $stranded = $stranded || abs($a) > 1e-9 * $forced;

                continue;
            }
            for ($e = $t->start[$k], $to = $t->start[$k + 1]; $e < $to; $e++) {
                $c[$t->near[$e]] += $this->share[$e] * $a;
            }
        }

        return [$c, $met, $stranded];
    }

    /**
     * aᵀG⁻¹b for two forward vectors.
     *
     * @param array{array<int, float>, list<int>, bool} $a
     * @param array{array<int, float>, list<int>, bool} $b
     */
    public function dot(array $a, array $b): float
    {
        if (count($b[1]) < count($a[1])) {
            [$a, $b] = [$b, $a];
        }
        $x = 0.0;
        foreach ($a[1] as $k) {
            $n = $this->topology->order[$k];
            if (isset($b[0][$n])) {
                $x += $a[0][$n] * $b[0][$n] * $this->inverse[$k];
            }
        }

        return $x;
    }

    /**
     * A sum of forward vectors, each taken so many times.
     *
     * @param list<array{array{array<int, float>, list<int>, bool}, float}> $sum
     * @return array<int, float> by node; none where there is nothing
     */
    public function sum(array $sum): array
    {
        $c = [];
        foreach ($sum as [[$vector], $times]) {
            foreach ($vector as $n => $x) {
                $c[$n] = ($c[$n] ?? 0.0) + $times * $x;
            }
        }

        return $c;
    }

    /**
     * The backward pass: volts of the late nodes, or, given those, of the early ones too.
     *
     * @param array<int, float> $c from {@see sum}
     * @param list<float>|null $late volts of the late nodes, to go on from
     * @return list<float> by node
     */
    public function back(array $c, ?array $late = null): array
    {
        $t = $this->topology;
        $order = $t->order;
        $start = $t->start;
        $near = $t->near;
        $share = $this->share;
        $v = $late ?? array_fill(0, $t->nodes, 0.0);
        [$from, $until] = $late === null ? [count($order) - 1, $t->early] : [$t->early - 1, 0];
        for ($k = $from; $k >= $until; $k--) {
            $node = $order[$k];
            $x = isset($c[$node]) ? $this->inverse[$k] * $c[$node] : 0.0;
            for ($e = $start[$k], $to = $start[$k + 1]; $e < $to; $e++) {
                $x += $share[$e] * $v[$near[$e]];
            }
            $v[$node] = $x;
        }

        return $v;
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
        $y = $this->y;
        $earth = $this->earth;
        $share = $this->share;
        $inverse = $this->inverse;
        $f = $this->filled;
        $this->y = $this->earth = $this->share = $this->inverse = [];
        for ($k = $this->done; $k < $until; $k++) {
            $node = $order[$k];
            $from = $start[$k];
            $to = $start[$k + 1];
            $pivot = $toEarth = $earth[$node];
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
        $this->y = $y;
        $this->earth = $earth;
        $this->share = $share;
        $this->inverse = $inverse;
        $this->done = $until;
        $this->filled = $f;
    }
}
