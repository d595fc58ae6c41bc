<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * The volts of every node in one state: AC as phasors (rms), and DC, on the same network.
 *
 * A load, such as a meter, may be put between two nodes of the solved state without eliminating
 * anew ({@see with}): one more rank-one term.
 */
final class Solution
{
    /** A rod that only the flame itself holds: its source would be a million times the flame's resistance. */
    private const HELD_BY_FLAME = 1e-12;

    private ?Elimination $dcElimination = null;

    private ?Elimination $acElimination;

    /** @var list<array{list<float>, list<float>, list<array{int, float}>, float, float}>|null */
    private ?array $terms;

    /** @var list<float>|null */
    private ?array $acRe = null;

    /** @var list<float> */
    private array $acIm = [];

    /** @var list<float>|null */
    private ?array $dcVolts = null;

    /** @var array<int, float> direct current that each flame drives from rod to burner, A */
    private array $flameAmps = [];

    /** @var array<int, array{float, float}> amps and siemens that stand for each flame at DC */
    private array $flameElements = [];

    /**
     * @param list<array{int, int, float}> $loads node, node, siemens
     * @param self|null $base the same state with fewer loads, whose work serves again
     */
    private function __construct(
        private readonly Network $network,
        private readonly Values $values,
        private readonly array $loads,
        ?self $base,
    ) {
        $this->acElimination = $base?->acElimination;
        $this->terms = $base?->terms;
        $this->dcElimination = $base?->dcElimination;
        if ($base !== null && $this->terms !== null) {
            [$a, $b, $siemens] = $loads[count($loads) - 1];
            $this->terms = $this->addTerm($this->terms, [[$a, 1.0], [$b, -1.0]], 1.0 / $siemens, 0.0);
        }
    }

    /** Nothing is computed until it is asked for. */
    public static function of(Network $network, Values $values): self
    {
        return new self($network, $values, [], null);
    }

    /** The same state with a resistance of so many siemens put between two nodes. */
    public function with(int $a, int $b, float $siemens): self
    {
        if ($a === $b || $siemens == 0.0) {
            return $this;
        }

        return new self($this->network, $this->values, [...$this->loads, [$a, $b, $siemens]], $this);
    }

    /** @return array{float, float} volts rms of node a against node b, real and imaginary */
    public function acPhasor(int $a, int $b): array
    {
        if ($this->acRe === null) {
            $this->solveAc();
        }

        return [$this->acRe[$a] - $this->acRe[$b], $this->acIm[$a] - $this->acIm[$b]];
    }

    /** Volts rms between two nodes. */
    public function acVolts(int $a, int $b): float
    {
        if ($this->acRe === null) {
            $this->solveAc();
        }
        $x = $this->acRe[$a] - $this->acRe[$b];
        $y = $this->acIm[$a] - $this->acIm[$b];

        return sqrt($x * $x + $y * $y);
    }

    /** Mean volts of node a against node b. */
    public function dcVolts(int $a, int $b): float
    {
        $v = $this->dcVolts ??= $this->solveDc();

        return $v[$a] - $v[$b];
    }

    /** Direct current that the flame drives from its rod into the burner, A; zero without flame. */
    public function flameAmps(int $flame): float
    {
        $this->dcVolts ??= $this->solveDc();

        return $this->flameAmps[$flame] ?? 0.0;
    }

    /**
     * The source that stands for a flame in the DC network: amps rod to burner, and its siemens.
     *
     * @return array{float, float}
     */
    public function flameElement(int $flame): array
    {
        $this->dcVolts ??= $this->solveDc();

        return $this->flameElements[$flame];
    }

    /** Ohms at DC between two nodes with all sources quiet; INF when nothing joins them. */
    public function dcOhms(int $a, int $b): float
    {
        if ($a === $b) {
            return 0.0;
        }
        $i = array_fill(0, $this->network->topology->nodes, 0.0);
        $i[$a] = 1.0;
        $i[$b] = -1.0;
        $i[0] = 0.0;
        [$v, , $stranded] = $this->dcElimination()->solve($i);

        return $stranded ? INF : $v[$a] - $v[$b];
    }

    /** @return array{float, float}|null impedance between two nodes at the supply frequency, Ω; null when nothing joins them */
    public function acOhms(int $a, int $b): ?array
    {
        $own = $this->acElimination()->between($a, $b);
        if ($own === null) {
            return null;
        }
        [$zr, $zi] = $own;
        // less what the rank-one terms take up: (aᵀz)² / (1/y + …), with aᵀz read off their responses
        $terms = $this->terms();
        $matrix = $right = [];
        foreach ($terms as $row => [$tr, $ti, $nodes, $yr, $yi]) {
            $right[$row] = [$tr[$a] - $tr[$b], $ti[$a] - $ti[$b]];
            foreach ($terms as $column => [$ur, $ui]) {
                $m = $row === $column ? [$yr, $yi] : [0.0, 0.0];
                foreach ($nodes as [$node, $weight]) {
                    $m[0] += $weight * $ur[$node];
                    $m[1] += $weight * $ui[$node];
                }
                $matrix[$row][$column] = $m;
            }
        }
        foreach ($terms === [] ? [] : Dense::solve($matrix, $right) as $t => [$cr, $ci]) {
            [$br, $bi] = $right[$t];
            $zr -= $br * $cr - $bi * $ci;
            $zi -= $br * $ci + $bi * $cr;
        }

        return [$zr, $zi];
    }

    /** @throws CircuitError when some value is not finite */
    private function solveAc(): void
    {
        $re = $im = array_fill(0, $this->network->topology->nodes, 0.0);
        foreach ($this->values->acSources as $node => [$a, $b]) {
            $re[$node] += $a;
            $im[$node] += $b;
        }
        $re[0] = $im[0] = 0.0;
        [$this->acRe, $this->acIm] = $this->respond($re, $im);
        if (! is_finite(array_sum($this->acRe) + array_sum($this->acIm))) {
            throw CircuitError::notANumber('AC solution');
        }
    }

    private function acElimination(): Elimination
    {
        return $this->acElimination ??= Elimination::ac($this->network->topology, $this->values->re, $this->values->im);
    }

    /**
     * The rank-one terms at the supply frequency: response (re, im) to the unit term, its nodes, 1/y (re, im).
     *
     * @return list<array{list<float>, list<float>, list<array{int, float}>, float, float}>
     */
    private function terms(): array
    {
        if ($this->terms !== null) {
            return $this->terms;
        }
        $terms = [];
        foreach ($this->network->windings as $w => [$p1, $p2, $s1, $s2]) {
            [$re, $im, $turns] = $this->values->windings[$w] ?? [0.0, 0.0, 1.0];
            if ($re == 0.0 && $im == 0.0) {
                continue; // a winding is open
            }
            $d = $re * $re + $im * $im;
            $terms = $this->addTerm($terms, [[$p1, 1.0], [$p2, -1.0], [$s1, -$turns], [$s2, $turns]], $re / $d, -$im / $d);
        }
        foreach ($this->loads as [$a, $b, $siemens]) {
            $terms = $this->addTerm($terms, [[$a, 1.0], [$b, -1.0]], 1.0 / $siemens, 0.0);
        }

        return $this->terms = $terms;
    }

    /**
     * Volts of each node for currents into the nodes, with windings and loads.
     *
     * @param list<float> $re
     * @param list<float> $im
     * @return array{list<float>, list<float>, bool}
     */
    private function respond(array $re, array $im): array
    {
        [$xr, $xi, $stranded] = $this->acElimination()->solve($re, $im);
        $terms = $this->terms();
        if ($terms === []) {
            return [$xr, $xi, $stranded];
        }
        // (1/y + aᵀz) c = −aᵀx, then x + Σ z c
        $matrix = $right = [];
        foreach ($terms as $row => [, , $nodes, $zr, $zi]) {
            $b = [0.0, 0.0];
            foreach ($nodes as [$node, $weight]) {
                $b[0] -= $weight * $xr[$node];
                $b[1] -= $weight * $xi[$node];
            }
            $right[$row] = $b;
            foreach ($terms as $column => [$tr, $ti]) {
                $m = $row === $column ? [$zr, $zi] : [0.0, 0.0];
                foreach ($nodes as [$node, $weight]) {
                    $m[0] += $weight * $tr[$node];
                    $m[1] += $weight * $ti[$node];
                }
                $matrix[$row][$column] = $m;
            }
        }
        foreach (Dense::solve($matrix, $right) as $t => [$cr, $ci]) {
            [$tr, $ti] = $terms[$t];
            foreach ($tr as $node => $a) {
                $b = $ti[$node];
                $xr[$node] += $a * $cr - $b * $ci;
                $xi[$node] += $a * $ci + $b * $cr;
            }
        }

        return [$xr, $xi, $stranded];
    }

    /**
     * @param list<array{list<float>, list<float>, list<array{int, float}>, float, float}> $terms
     * @param list<array{int, float}> $nodes
     * @return list<array{list<float>, list<float>, list<array{int, float}>, float, float}>
     */
    private function addTerm(array $terms, array $nodes, float $zr, float $zi): array
    {
        $re = array_fill(0, $this->network->topology->nodes, 0.0);
        foreach ($nodes as [$node, $weight]) {
            $re[$node] += $weight;
        }
        $re[0] = 0.0;
        [$tr, $ti, $stranded] = $this->acElimination()->solve($re, array_fill(0, $this->network->topology->nodes, 0.0));
        if (! $stranded) { // else it bridges two islands and carries nothing
            $terms[] = [$tr, $ti, $nodes, $zr, $zi];
        }

        return $terms;
    }

    private function dcElimination(): Elimination
    {
        return $this->dcElimination ??= Elimination::dc($this->network->topology, $this->values->dc);
    }

    /** @return list<float> */
    private function solveDc(): array
    {
        $n = $this->network->topology->nodes;
        $v = array_fill(0, $n, 0.0);
        if ($this->values->dcSources === [] && $this->values->flames === []) {
            return $v;
        }
        $elimination = $this->dcElimination();
        $terms = []; // response, a, b, siemens
        foreach ($this->loads as [$a, $b, $siemens]) {
            $terms = self::addDcTerm($elimination, $n, $terms, $a, $b, $siemens);
        }
        $flames = [];
        foreach ($this->values->flames as $f => [$forward, $reverse]) {
            [$rod, $burner] = $this->network->flames[$f];
            $flame = $this->flame($rod, $burner, $forward, $reverse);
            $flames[$f] = [$rod, $burner, $flame[0], $flame[1], $flame[2], count($terms)];
            $terms = self::addDcTerm($elimination, $n, $terms, $rod, $burner, $flame[1]);
        }
        $base = $v;
        if ($this->values->dcSources !== []) {
            foreach ($this->values->dcSources as $node => $amps) {
                $base[$node] += $amps;
            }
            $base[0] = 0.0;
            [$base] = $elimination->solve($base);
        }
        $correction = array_fill_keys(array_keys($flames), 1.0);
        for ($pass = 0; $pass < ($flames === [] ? 1 : 3); $pass++) {
            // a flame's current answers as its own term does, whose response is at hand
            $v = $base;
            foreach ($flames as $f => [$rod, $burner, $amps, , , $t]) {
                $driven = -$amps * $correction[$f];
                if ($driven != 0.0 && isset($terms[$t])) {
                    foreach ($terms[$t][0] as $node => $z) {
                        $v[$node] += $z * $driven;
                    }
                }
            }
            $v = self::withTerms($terms, $v);
            foreach ($flames as $f => [$rod, $burner, $amps, $siemens, $peak]) {
                $across = $v[$rod] - $v[$burner];
                $this->flameAmps[$f] = $amps * $correction[$f] + $across * $siemens;
                $this->flameElements[$f] = [$amps * $correction[$f], $siemens];
                $x = $peak > 0 ? min(0.99, abs($across) / $peak) : 0.0;
                $correction[$f] = 1 + sqrt(1 - $x * $x) - $x * acos($x) - (1 - M_PI * $x / 2);
            }
        }

        return $v;
    }

    /**
     * The flame as a source for the DC network, from the AC at its place.
     *
     * Two slopes: I0 = (Vp/π)(1/Ra − 1/Rb), G = ½(1/Ra + 1/Rb), Ra and Rb the forward and reverse
     * resistance each with the AC source's own; the mean of a half wave, I = Vp/(πR), is in any
     * circuits textbook.
     *
     * @return array{float, float, float} amps rod to burner, siemens, peak volts
     */
    private function flame(int $rod, int $burner, float $forward, float $reverse): array
    {
        $z = $this->acOhms($rod, $burner);
        // the flame's own AC shunt, 2 Rf, is in the network: take it out of what is seen
        $g = 1 / (2 * $forward);
        [$nr, $ni] = $z === null ? [0.0, 0.0] : [1 - $z[0] * $g, -$z[1] * $g];
        $d = $nr * $nr + $ni * $ni;
        if ($z === null || $d < self::HELD_BY_FLAME) {
            return [0.0, 0.5 * (1 / $forward + 1 / $reverse), 0.0]; // nothing feeds the rod: its wire is open
        }
        [$vr, $vi] = $this->acPhasor($rod, $burner);
        $peak = M_SQRT2 * sqrt(($vr * $vr + $vi * $vi) / $d);
        $source = ($z[0] * $nr + $z[1] * $ni) / $d;
        $a = 1 / ($forward + $source);
        $b = 1 / ($reverse + $source);

        return [$peak / M_PI * ($a - $b), 0.5 * ($a + $b), $peak];
    }

    /**
     * @param list<array{list<float>, int, int, float}> $terms
     * @return list<array{list<float>, int, int, float}>
     */
    private static function addDcTerm(Elimination $dc, int $n, array $terms, int $a, int $b, float $siemens): array
    {
        $i = array_fill(0, $n, 0.0);
        $i[$a] = 1.0;
        $i[$b] = -1.0;
        $i[0] = 0.0;
        [$z, , $stranded] = $dc->solve($i);
        if (! $stranded) {
            $terms[] = [$z, $a, $b, $siemens];
        }

        return $terms;
    }

    /**
     * Volts with the rank-one terms put in.
     *
     * @param list<array{list<float>, int, int, float}> $terms
     * @param list<float> $x volts without them
     * @return list<float>
     */
    private static function withTerms(array $terms, array $x): array
    {
        if ($terms === []) {
            return $x;
        }
        $matrix = $right = [];
        foreach ($terms as $row => [, $a, $b, $siemens]) {
            $right[$row] = [$x[$b] - $x[$a], 0.0];
            foreach ($terms as $column => [$z]) {
                $matrix[$row][$column] = [($row === $column ? 1 / $siemens : 0.0) + $z[$a] - $z[$b], 0.0];
            }
        }
        foreach (Dense::solve($matrix, $right) as $t => [$c]) {
            foreach ($terms[$t][0] as $node => $z) {
                $x[$node] += $z * $c;
            }
        }

        return $x;
    }
}
