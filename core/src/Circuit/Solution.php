<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * The volts of every node in one state: AC as phasors (rms), and DC, on the same network.
 *
 * Nothing is computed until it is asked for. Windings, and a load such as a meter put between two
 * nodes of a solved state ({@see with}), are rank-one terms y·aaᵀ beside what is eliminated:
 * with z = Y⁻¹a, V = Y⁻¹I + Σ z c, where (1/y + aᵀz) c = −aᵀY⁻¹I.
 */
final class Solution
{
    /** From what share on the AC of a flame is made out beyond its shunt. */
    private const BENT = 0.002;

    private ?AcElimination $acElimination = null;

    private ?DcElimination $dcElimination = null;

    /**
     * @var list<array{array{array<int, float>, array<int, float>, list<int>, bool}, float, float}>|null forward vector,
     *     1/y of each term
     */
    private ?array $terms = null;

    /**
     * @var array<int, array{bool, list<array{float, float}>, array{float,
     *     float}}> by flame: whether nothing joins rod and burner, the dots of that pair with the terms,
     *     and with itself
     */
    private array $atFlames = [];

    /** How the terms bear on each other. */
    private ?Dense $between = null;

    /** @var array{list<float>, list<float>}|null volts by node; early ones only when */
    private ?array $ac = null;

    private bool $whole = false;

    /** @var list<float>|null volts by node; early ones only when */
    private ?array $dc = null;

    private bool $dcWhole = true;

    /**
     * @var array<int, array{float, float, float, float, array{float, float}, float}> by flame: its current, A, amps and
     *     siemens that stand for it at DC, siemens by which its AC is otherwise than its shunt, Ω seen from it, and the
     *     amps of its harmonics
     */
    private array $flames = [];

    /**
     * @var list<array{array{list<float>, list<float>}, float, float, float}>|null what the flames that bend the AC do
     *     to it: volts by node for an ampere into the rod, the ampere that they take more, real and imaginary, and the
     *     amps of their harmonics
     */
    private ?array $bent = null;

    /** @param list<array{int, int, float}> $loads node, node, siemens */
    private function __construct(
        private readonly Network $network,
        private readonly Values $values,
        private readonly ?StaticPart $static,
        private readonly array $loads,
    ) {}

    /** @param StaticPart|null $static of the appliance, when many of its states are solved */
    public static function of(Network $network, Values $values, ?StaticPart $static = null): self
    {
        return new self(
            $network,
            $static === null ? $values : $values->only($network->topology->variable),
            $static,
            [],
        );
    }

    /** The same state with a resistance of so many siemens put between two nodes. */
    public function with(int $a, int $b, float $siemens): self
    {
        if ($a === $b || $siemens == 0.0) {
            return $this;
        }
        $loaded = new self($this->network, $this->values, $this->static, [...$this->loads, [$a, $b, $siemens]]);
        $loaded->acElimination = $this->acElimination(); // shared by every place that the load is put to
        $loaded->dcElimination = $this->dcElimination;

        return $loaded;
    }

    /** @return array{float, float} volts rms of node a against node b at the supply frequency, real and imaginary */
    public function acPhasor(int $a, int $b): array
    {
        [$x, $y] = $this->linear($a, $b);
        foreach ($this->bent() as [[$re, $im], $ampsRe, $ampsIm]) {
            [$zr, $zi] = [$re[$a] - $re[$b], $im[$a] - $im[$b]];
            $x -= $zr * $ampsRe - $zi * $ampsIm;
            $y -= $zr * $ampsIm + $zi * $ampsRe;
        }

        return [$x, $y];
    }

    /** Volts rms between two nodes, DC apart. */
    public function acVolts(int $a, int $b): float
    {
        [$x, $y] = $this->acPhasor($a, $b);
        $square = $x * $x + $y * $y;
        foreach ($this->bent() as [[$re, $im], , , $harmonics]) {
            $square += $harmonics ** 2 * (($re[$a] - $re[$b]) ** 2 + ($im[$a] - $im[$b]) ** 2);
        }

        return sqrt($square);
    }

    /**
     * The same between the two nodes of each of many pairs.
     *
     * @param list<array{int, int}> $pairs
     * @return list<float>
     */
    public function acVoltsOf(array $pairs): array
    {
        $isEarly = $this->network->topology->isEarly;
        $early = 0;
        foreach ($pairs as [$a, $b]) {
            if ($isEarly[$a] || $isEarly[$b]) {
                $early = $isEarly[$a] ? $a : $b;
                break;
            }
        }
        [$re, $im] = $this->acAt($early, $early);
        $harmonics = [];
        foreach ($this->bent() as [[$zr, $zi], $ampsRe, $ampsIm, $amps]) {
            foreach ($re as $n => $_) {
                $re[$n] -= $zr[$n] * $ampsRe - $zi[$n] * $ampsIm;
                $im[$n] -= $zr[$n] * $ampsIm + $zi[$n] * $ampsRe;
            }
            $harmonics[] = [$zr, $zi, $amps ** 2];
        }
        $volts = [];
        foreach ($pairs as [$a, $b]) {
            $x = $re[$a] - $re[$b];
            $y = $im[$a] - $im[$b];
            $square = $x * $x + $y * $y;
            foreach ($harmonics as [$zr, $zi, $amps]) {
                $square += $amps * (($zr[$a] - $zr[$b]) ** 2 + ($zi[$a] - $zi[$b]) ** 2);
            }
            $volts[] = sqrt($square);
        }

        return $volts;
    }

    /** Mean volts of node a against node b. */
    public function dcVolts(int $a, int $b): float
    {
        $isEarly = $this->network->topology->isEarly;
        $early = $isEarly[$a] || $isEarly[$b];
        $v = $this->dc !== null && ($this->dcWhole || ! $early) ? $this->dc : $this->solveDc($early);

        return $v[$a] - $v[$b];
    }

    /** Direct current that the flame drives from its rod into the burner, A; zero without flame. */
    public function flameAmps(int $flame): float
    {
        $this->dc ??= $this->solveDc(false);

        return $this->flames[$flame][0] ?? 0.0;
    }

    /**
     * What stands for a flame: in the DC network amps rod to burner and siemens; in that of the AC siemens more than
     * its shunt.
     *
     * @return array{float, float, float}
     */
    public function flameElement(int $flame): array
    {
        $this->dc ??= $this->solveDc(false);
        [, $amps, $siemens, $more, [$zr, $zi]] = $this->flames[$flame];

        return [$amps, $siemens, self::isBent($more, $zr, $zi) ? $more : 0.0];
    }

    /** Whether so many siemens more are seen through what is seen from the flame. */
    private static function isBent(float $more, float $zr, float $zi): bool
    {
        return hypot($zr, $zi) * abs($more) >= self::BENT;
    }

    /** Hz of the supply. */
    public function hertz(): float
    {
        return $this->network->hertz;
    }

    /** Ohms at DC between two nodes with all sources quiet, loads included; INF when nothing joins them. */
    public function dcOhms(int $a, int $b): float
    {
        if ($a === $b) {
            return 0.0;
        }
        $dc = $this->dcElimination();
        $pair = $dc->forward([$a => 1.0, $b => -1.0]);
        if ($pair[2]) {
            $through = array_filter(
                $this->loads,
                fn (array $l) => [$l[0], $l[1]] == [$a, $b] || [$l[1], $l[0]] == [$a, $b],
            );

            return $through === [] ? INF : 1 / array_sum(array_column($through, 2));
        }
        $ohms = $dc->dot($pair, $pair);
        $loads = $matrix = $right = [];
        foreach ([...$this->loads, ...$this->diodes($dc, $pair)] as [$p, $q, $siemens]) {
            $load = $dc->forward([$p => 1.0, $q => -1.0]);
            if (! $load[2]) {
                $row = array_map(fn (array $other) => [$dc->dot($load, $other), 0.0], $loads);
                $matrix[] = [...$row, [1 / $siemens + $dc->dot($load, $load), 0.0]];
                $right[] = [$dc->dot($pair, $load), 0.0];
                $loads[] = $load;
            }
        }
        foreach ($matrix === [] ? [] : Dense::of($matrix)->solve($right) as $i => [$share]) {
            $ohms -= $share * $right[$i][0];
        }
        $this->release();

        return $ohms;
    }

    /**
     * What the diodes conduct beside their shunts where a small current is sent through a pair: by which way it goes
     * through each.
     *
     * @param array{array<int, float>, list<int>, bool} $pair forward vector
     * @return list<array{int, int, float}> node, node, siemens
     */
    private function diodes(DcElimination $dc, array $pair): array
    {
        $conduct = [];
        foreach ($this->values->flames as $f => $flame) {
            if (($flame[3] ?? false) === true) {
                [$from, $to] = $this->network->flames[$f];
                $along = $dc->dot($pair, $dc->forward([$from => 1.0, $to => -1.0]));
                $conduct[] = [$from, $to, 1 / $flame[$along >= 0 ? 0 : 1] - ($flame[2] ?? 0.0)];
            }
        }

        return $conduct;
    }

    /**
     * @return array{float, float}|null impedance between two nodes at the supply frequency,
     *     Ω; null when nothing joins them
     */
    public function acOhms(int $a, int $b): ?array
    {
        $ac = $this->acElimination();
        $pair = $ac->forward([$a => [1.0, 0.0], $b => [-1.0, 0.0]]);
        if ($pair[3]) {
            return null;
        }
        [$zr, $zi] = $ac->dot($pair, $pair);
        $terms = $this->terms();
        foreach ($this->shares($ac, $terms, $pair) as $t => [$cr, $ci]) {
            [$br, $bi] = $ac->dot($terms[$t][0], $pair);
            $zr += $br * $cr - $bi * $ci;
            $zi += $br * $ci + $bi * $cr;
        }

        return [$zr, $zi];
    }

    /**
     * Volts with every flame as the shunt of twice its resistance.
     *
     * @return array{float, float}
     */
    private function linear(int $a, int $b): array
    {
        [$re, $im] = $this->acAt($a, $b);

        return [$re[$a] - $re[$b], $im[$a] - $im[$b]];
    }

    /**
     * Flames whose AC is not that of their shunt by more than a five-hundredth: those whose return is of the order of
     * their own resistance, as through a voltmeter.
     *
     * @return list<array{array{list<float>, list<float>}, float, float, float}> {@see $bent}
     */
    private function bent(): array
    {
        if ($this->bent !== null || $this->values->flames === []) {
            return $this->bent ?? [];
        }
        $this->dc ??= $this->solveDc(false);
        $ends = $vectors = $rows = $right = [];
        foreach (array_keys($this->values->flames) as $f) {
            [, , , $siemens, [$zr, $zi]] = $this->flames[$f];
            if (self::isBent($siemens, $zr, $zi)) {
                $ends[$f] = $this->network->flames[$f];
                $vectors[$f] = $this->forAmpere(...$ends[$f]);
            }
        }
        // what each takes more, with what the others take
        foreach ($ends as $of => [$rod, $burner]) {
            $row = [];
            foreach ($vectors as $f => [$re, $im]) {
                $own = $f === $of ? 1 / $this->flames[$f][3] : 0.0;
                $row[] = [$own + $re[$rod] - $re[$burner], $im[$rod] - $im[$burner]];
            }
            $rows[] = $row;
            $right[] = $this->linear($rod, $burner);
        }
        $amps = $rows === [] ? [] : Dense::of($rows)->solve($right);
        $this->bent = [];
        foreach (array_keys($ends) as $i => $f) {
            [, , , , [$zr, $zi], $harmonics] = $this->flames[$f];
            // its harmonics see what lies outside it: without the shunt
            $g = 1 / (2 * $this->values->flames[$f][0]);
            $this->bent[] = [
                $vectors[$f], $amps[$i][0], $amps[$i][1],
                $harmonics / hypot(1 - $g * $zr, $g * $zi),
            ];
        }

        return $this->bent;
    }

    /**
     * Volts by node for an ampere that goes in at one and out at another.
     *
     * @return array{list<float>, list<float>}
     */
    private function forAmpere(int $in, int $out): array
    {
        $ac = $this->acElimination();
        $driving = $ac->forward([$in => [1.0, 0.0], $out => [-1.0, 0.0]]);
        $terms = $this->terms();
        $parts = [];
        foreach ($this->shares($ac, $terms, $driving) as $t => [$cr, $ci]) {
            $parts[] = [$terms[$t][0], $cr, $ci];
        }
        $driving = $ac->sum($driving, $parts);

        return $ac->back($driving, $ac->back($driving));
    }

    /**
     * Volts by node, the two that are wanted among them.
     *
     * @return array{list<float>, list<float>}
     */
    private function acAt(int $a, int $b): array
    {
        $isEarly = $this->network->topology->isEarly;
        $early = $isEarly[$a] || $isEarly[$b];

        return $this->ac !== null && ($this->whole || ! $early) ? $this->ac : $this->solveAc($early);
    }

    /**
     * @param bool $whole the early nodes too
     * @return array{list<float>, list<float>} volts by node
     *
     * @throws CircuitError when some value is not finite
     */
    private function solveAc(bool $whole): array
    {
        $ac = $this->acElimination();
        $driving = $this->forward('drive', $this->values->acDrive());
        $terms = $this->terms();
        $parts = [];
        foreach ($this->shares($ac, $terms, $driving) as $t => [$cr, $ci]) {
            $parts[] = [$terms[$t][0], $cr, $ci];
        }
        $driving = $ac->sum($driving, $parts);
        $this->ac = $ac->back($driving);
        if (! is_finite(array_sum($this->ac[0]) + array_sum($this->ac[1]))) {
            throw CircuitError::notANumber('AC solution');
        }
        if ($whole) {
            $this->ac = $ac->back($driving, $this->ac);
            $this->whole = true;
        }
        $this->release();

        return $this->ac;
    }

    /**
     * What each term takes up of what a vector drives.
     *
     * @param list<array{array{array<int, float>, array<int, float>, list<int>, bool}, float, float}> $terms
     * @param array{array<int, float>, array<int, float>, list<int>, bool} $driving
     * @return list<array{float, float}>
     */
    private function shares(AcElimination $ac, array $terms, array $driving): array
    {
        if ($terms === [] && ($this->values->flames === [] || $this->atFlames !== [])) {
            return [];
        }
        $right = [];
        if ($this->between === null) {
            $vectors = [...array_column($terms, 0), $driving];
            foreach (array_keys($this->values->flames) as $f) { // they will be asked for next
                [$rod, $burner] = $this->network->flames[$f];
                $vectors[] = $this->forward("f$f", [$rod => [1.0, 0.0], $burner => [-1.0, 0.0]]);
            }
            $dots = $ac->dots($vectors);
            $n = count($terms);
            $at = $n + 1;
            foreach (array_keys($this->values->flames) as $f) {
                $this->atFlames[$f] = [$vectors[$at][3], array_slice($dots[$at], 0, $n), $dots[$at][$at]];
                $at++;
            }
            for ($t = 0; $t < $n; $t++) {
                $right[] = [-$dots[$n][$t][0], -$dots[$n][$t][1]];
            }
            $dots = array_slice($dots, 0, $n);
            foreach ($terms as $row => [, $zr, $zi]) {
                $dots[$row][$row][0] += $zr;
                $dots[$row][$row][1] += $zi;
            }
            $this->between = Dense::of($dots);
        } else {
            foreach ($terms as [$vector]) {
                [$x, $y] = $ac->dot($vector, $driving);
                $right[] = [-$x, -$y];
            }
        }

        return $this->between->solve($right);
    }

    /**
     * The forward pass of something that most states have in common.
     *
     * @param array<int, array{float, float}> $amps
     * @return array{array<int, float>, array<int, float>, list<int>, bool}
     */
    private function forward(string $what, array $amps): array
    {
        $ac = $this->acElimination();

        return $this->static === null ? $ac->forward($amps) : $ac->goOn($this->static->begun($what, $amps));
    }

    private function acElimination(): AcElimination
    {
        return $this->acElimination ??= $this->static === null
            ? AcElimination::of($this->network->topology, $this->values->re, $this->values->im)
            : $this->static->ac()->finish($this->values->re, $this->values->im);
    }

    private function dcElimination(): DcElimination
    {
        return $this->dcElimination ??= $this->static === null
            ? DcElimination::of($this->network->topology, $this->values->dc)
            : $this->static->dc()->finish($this->values->dc);
    }

    /** Lets go of what can be had again: most states are never asked for more. */
    private function release(): void
    {
        if ($this->loads === [] && ($this->values->flames === [] || $this->dc !== null)) {
            $this->acElimination = $this->dcElimination = null;
            $this->terms = $this->between = null;
            $this->atFlames = [];
        }
    }

    /**
     * The rank-one terms at the supply frequency: windings that are whole, and loads.
     *
     * @return list<array{array{array<int, float>, array<int, float>, list<int>, bool}, float, float}>
     */
    private function terms(): array
    {
        if ($this->terms !== null) {
            return $this->terms;
        }
        $ac = $this->acElimination();
        $terms = [];
        foreach ($this->network->windings as $w => [$p1, $p2, $s1, $s2]) {
            [$re, $im, $turns] = $this->values->windings[$w] ?? [0.0, 0.0, 1.0];
            $d = $re * $re + $im * $im;
            if ($d > 0.0) { // else a winding is open
                $amps = [];
                foreach ([[$p1, 1.0], [$p2, -1.0], [$s1, -$turns], [$s2, $turns]] as [$node, $weight]) {
                    $amps[$node] = [($amps[$node][0] ?? 0.0) + $weight, 0.0];
                }
                $terms[] = [$this->forward("w$w", $amps), $re / $d, -$im / $d];
            }
        }
        foreach ($this->loads as [$a, $b, $siemens]) {
            $terms[] = [$ac->forward([$a => [1.0, 0.0], $b => [-1.0, 0.0]]), 1 / $siemens, 0.0];
        }

        // one that bridges two islands carries nothing
        return $this->terms = array_values(array_filter($terms, fn (array $t) => ! $t[0][3]));
    }

    /**
     * @param bool $whole the early nodes too
     * @return list<float> volts by node
     */
    private function solveDc(bool $whole): array
    {
        $drive = $this->values->dcDrive();
        if ($drive === [] && $this->values->flames === []) {
            return $this->dc = array_fill(0, $this->network->topology->nodes, 0.0);
        }
        $dc = $this->dcElimination();
        $terms = []; // forward vector, siemens
        foreach ($this->loads as [$a, $b, $siemens]) {
            $terms[] = [$dc->forward([$a => 1.0, $b => -1.0]), $siemens];
        }
        $flames = []; // forward vector, and the flame
        foreach ($this->values->flames as $f => [$forward, $reverse]) {
            [$rod, $burner] = $this->network->flames[$f];
            $vector = $dc->forward([$rod => 1.0, $burner => -1.0]);
            $volts = $this->linear($rod, $burner);
            $ohms = $this->flameOhms($f, $rod, $burner);
            $flame = Flame::fed($volts, $ohms, $forward, $reverse, $this->values->flames[$f][3] ?? false);
            $flames[$f] = [$vector, $flame, $ohms ?? [0.0, 0.0], 1 / (2 * $forward)];
            $terms[] = [$vector, $flame->siemens - ($this->values->flames[$f][2] ?? 0.0)];
        }
        $sources = $dc->forward($drive);
        // every product of two vectors that is needed, once: terms with each other, with the sources, with the flames
        $terms = array_values(array_filter($terms, fn (array $t) => ! $t[0][2] && $t[1] != 0.0));
        $matrix = $fromSources = $fromFlame = $between = [];
        foreach ($terms as $row => [$vector, $siemens]) {
            foreach ($terms as $column => [$other]) {
                $matrix[$row][$column] = [$dc->dot($vector, $other) + ($row === $column ? 1 / $siemens : 0.0), 0.0];
            }
            $fromSources[$row] = $dc->dot($vector, $sources);
            foreach ($flames as $f => [$of]) {
                $fromFlame[$f][$row] = $dc->dot($vector, $of);
            }
        }
        foreach ($flames as $f => [$vector]) {
            foreach ($flames as $g => [$of]) {
                $between[$f][$g] = $dc->dot($vector, $of);
            }
        }
        $system = $terms === [] ? null : Dense::of($matrix);
        // what the terms take up of the sources, and of an ampere into each rod
        $negative = fn (array $right): array => array_map(fn (float $x): array => [-$x, 0.0], $right);
        $shares = array_column($system?->solve($negative($fromSources)) ?? [], 0);
        $ofFlames = array_map(
            fn (array $right): array => array_column($system?->solve($negative($right)) ?? [], 0),
            $fromFlame,
        );
        $across = [];
        foreach ($flames as $f => [$vector]) {
            $across[$f] = $dc->dot($vector, $sources);
            foreach ($shares as $t => $c) {
                $across[$f] += $c * $fromFlame[$f][$t];
            }
            foreach ($ofFlames as $g => $takenUp) {
                foreach ($takenUp as $t => $c) {
                    $between[$f][$g] += $c * $fromFlame[$f][$t];
                }
            }
        }
        $times = array_fill_keys(array_keys($flames), 0.0);
        for ($pass = 0; $pass < min(3, count($flames)); $pass++) { // each with the others as they are by then
            foreach ($flames as $f => [, $flame, $ohms, $shunt]) {
                $volts = $across[$f];
                foreach ($times as $g => $so) {
                    $volts += $g === $f ? 0.0 : $so * $between[$f][$g];
                }
                [$amps, $x] = $flame->settle($volts, $between[$f][$f]);
                $times[$f] = -$amps;
                $this->flames[$f] = [
                    $amps + ($volts - $between[$f][$f] * $amps) * $flame->siemens,
                    $amps,
                    $flame->siemens,
                    $flame->bends($x, $shunt),
                    $ohms,
                    min($flame->harmonics($x), $flame->most($x, $ohms)),
                ];
            }
        }
        foreach ($ofFlames as $f => $takenUp) {
            foreach ($takenUp as $t => $c) {
                $shares[$t] += $times[$f] * $c;
            }
        }
        $sum = [[$sources, 1.0]];
        foreach ($flames as $f => [$vector]) {
            $sum[] = [$vector, $times[$f]];
        }
        foreach ($shares as $t => $c) {
            $sum[] = [$terms[$t][0], $c];
        }
        $driving = $dc->sum($sum);
        $this->dc = $dc->back($driving);
        $this->dcWhole = $whole;
        if ($whole) {
            $this->dc = $dc->back($driving, $this->dc);
        }
        $this->release();

        return $this->dc;
    }

    /** @return array{float, float}|null as {@see acOhms}, from what was found on the way */
    private function flameOhms(int $f, int $rod, int $burner): ?array
    {
        if (! isset($this->atFlames[$f]) || $this->between === null) {
            return $this->acOhms($rod, $burner);
        }
        [$stranded, $dots, [$zr, $zi]] = $this->atFlames[$f];
        foreach ($this->between->solve($dots) as $t => [$cr, $ci]) {
            [$br, $bi] = $dots[$t];
            $zr -= $br * $cr - $bi * $ci;
            $zi -= $br * $ci + $bi * $cr;
        }

        return $stranded ? null : [$zr, $zi];
    }
}
