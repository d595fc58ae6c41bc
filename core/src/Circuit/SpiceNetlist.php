<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * A solved state as a netlist for a general-purpose simulator: .ac and .op of the linear network, or
 * .tran with the flame as the two slopes that it is.
 *
 * Node names are the caller's (the model's places); every branch of the network is one or two cards.
 */
final class SpiceNetlist
{
    /** Holds a floating island to earth; compare differences of volts there. */
    private const ISLAND_OHM = 1.0e12;

    /** Passes AC and blocks DC, or the other way round, without being seen. */
    private const BLOCKING_FARAD = 1.0e-3;

    /** Of the ohms before it, at the supply frequency: less is not seen, much less is lost in the rounding. */
    private const BLOCKING_SHARE = 1.0e-8;

    private const BLOCKING_HENRY = 1.0e12;

    /**
     * @param list<array{int, int}> $branches the two nodes of each branch
     * @param array<int, string> $names of the nodes but earth
     * @param array<int, int> $flameBranches by flame: the branch that is its shunt for AC
     */
    public function __construct(
        private readonly Network $network,
        private readonly Values $values,
        private readonly array $branches,
        private readonly array $names,
        private readonly array $flameBranches = [],
    ) {}

    /** Cards for .ac at the supply's frequency and .op, without analysis lines. */
    public function linear(Solution $solution): string
    {
        $cards = $this->network($this->flameBranches);
        foreach ($this->flameBranches as $f => $b) {
            [$p, $q] = array_map($this->name(...), $this->branches[$b]);
            if (! isset($this->values->flames[$f])) {
                continue;
            }
            [$amps, $siemens, $more] = $solution->flameElement($f);
            $cards .= sprintf(
                "Rfa%d %s fa%d %.15g\nCfa%d fa%d %s %.15g\n",
                $f,
                $p,
                $f,
                1 / ($this->values->re[$b] + $more),
                $f,
                $f,
                $q,
                ($this->values->re[$b] + $more) / ($this->network->omega() * self::BLOCKING_SHARE),
            );
            $cards .= sprintf(
                "Rfd%d %s fd%d %.15g\nLfd%d fd%d %s %.15g\nIfd%d %s %s dc %.15g\n",
                $f,
                $p,
                $f,
                1 / $siemens,
                $f,
                $f,
                $q,
                self::BLOCKING_HENRY,
                $f,
                $p,
                $q,
                $amps,
            );
        }
        foreach ($this->values->acDrive() as $node => [$re, $im]) {
            $cards .= sprintf(
                "Iac%d 0 %s dc 0 ac %.15g %.15g\n",
                $node,
                $this->name($node),
                hypot($re, $im),
                rad2deg(atan2($im, $re)),
            );
        }
        foreach ($this->values->dcDrive() as $node => $amps) {
            $cards .= sprintf("Idc%d 0 %s dc %.15g\n", $node, $this->name($node), $amps);
        }

        return $cards;
    }

    /** Cards for .tran: sources as sines, the flame conducting better one way than the other. */
    public function transient(): string
    {
        $cards = $this->network($this->flameBranches);
        foreach ($this->values->flames as $f => [$forward, $reverse]) {
            [$p, $q] = array_map($this->name(...), $this->branches[$this->flameBranches[$f]]);
            $cards .= sprintf(
                "Bflame%d %s %s I = V(%s,%s) > 0 ? V(%s,%s)/%.15g : V(%s,%s)/%.15g\n",
                $f,
                $p,
                $q,
                $p,
                $q,
                $p,
                $q,
                $forward,
                $p,
                $q,
                $reverse,
            );
        }
        foreach ($this->values->dcDrive() as $node => $amps) {
            $cards .= sprintf("Idc%d 0 %s dc %.15g\n", $node, $this->name($node), $amps);
        }
        foreach ($this->values->acDrive() as $node => [$re, $im]) {
            $cards .= sprintf(
                "Iac%d 0 %s sin(0 %.15g %.15g 0 0 %.15g)\n",
                $node,
                $this->name($node),
                M_SQRT2 * hypot($re, $im),
                $this->network->hertz,
                90 + rad2deg(atan2($im, $re)),
            );
        }

        return $cards;
    }

    /**
     * Islands of nodes that nothing joins to earth, or nothing that conducts more than $least siemens (at DC).
     *
     * @return array<int, int> node => the node that stands for its island
     */
    public function islands(float $least = 0.0, bool $atDc = false): array
    {
        $root = range(0, $this->network->topology->nodes - 1);
        $find = function (int $n) use (&$root): int {
            while ($root[$n] !== $n) {
                $n = $root[$n] = $root[$root[$n]];
            }

            return $n;
        };
        foreach ($this->branches as $b => [$p, $q]) {
            if (
                max(
                    $atDc ? 0.0 : abs($this->values->re[$b]),
                    $atDc ? 0.0 : abs($this->values->im[$b]),
                    $this->values->dc[$b],
                ) > $least
            ) {
                [$x, $y] = [$find($p), $find($q)];
                $root[max($x, $y)] = min($x, $y);
            }
        }
        $islands = [];
        foreach (array_keys($root) as $n) {
            if ($find($n) !== 0) {
                $islands[$n] = $find($n);
            }
        }

        return $islands;
    }

    /** @param list<int> $without branches that are written elsewhere */
    private function network(array $without): string
    {
        $cards = '';
        $omega = $this->network->omega();
        foreach ($this->branches as $b => [$p, $q]) {
            $re = $this->values->re[$b];
            $im = $this->values->im[$b];
            $dc = $this->values->dc[$b];
            if ($p === $q || in_array($b, $without, true) || $re == 0.0 && $im == 0.0 && $dc == 0.0) {
                continue;
            }
            [$n, $m] = [$this->name($p), $this->name($q)];
            if ($im < 0.0) { // resistance and reactance in series
                $x = -$im / ($re * $re + $im * $im);
                $cards .= sprintf("R%d %s x%d %.15g\nL%d x%d %s %.15g\n", $b, $n, $b, 1 / $dc, $b, $b, $m, $x / $omega);

                continue;
            }
            if ($re > 0.0) {
                $cards .= sprintf("R%d %s %s %.15g\n", $b, $n, $m, 1 / $re);
            }
            if ($dc > $re) {
                // what a charged capacitor gives at DC only
                $cards .= sprintf(
                    "Rd%d %s d%d %.15g\nLd%d d%d %s %.15g\n",
                    $b,
                    $n,
                    $b,
                    1 / ($dc - $re),
                    $b,
                    $b,
                    $m,
                    self::BLOCKING_HENRY,
                );
            }
            if ($im > 0.0) {
                $cards .= sprintf("C%d %s %s %.15g\n", $b, $n, $m, $im / $omega);
            }
        }
        foreach ($this->network->windings as $w => $nodes) {
            [$re, $im, $turns] = $this->values->windings[$w] ?? [0.0, 0.0, 1.0];
            if ($re == 0.0 && $im == 0.0) {
                continue;
            }
            [$p1, $p2, $s1, $s2] = array_map($this->name(...), $nodes);
            $d = $re * $re + $im * $im;
            $cards .= sprintf(
                "* windings %d: copper and leakage, then the ratio; C keeps them apart at DC, and L makes up for it\n",
                $w,
            );
            $cards .= sprintf(
                "Rw%d %s wa%d %.15g\nLw%d wa%d wb%d %.15g\nCw%d wb%d wc%d %.15g\n",
                $w,
                $p1,
                $w,
                $re / $d,
                $w,
                $w,
                $w,
                (-$im / $d + 1 / ($omega * self::BLOCKING_FARAD)) / $omega,
                $w,
                $w,
                $w,
                self::BLOCKING_FARAD,
            );
            $cards .= sprintf(
                "Ew%d wc%d wd%d %s %s %.15g\nVw%d wd%d %s 0\nFw%d %s %s Vw%d %.15g\n",
                $w,
                $w,
                $w,
                $s1,
                $s2,
                $turns,
                $w,
                $w,
                $p2,
                $w,
                $s2,
                $s1,
                $w,
                $turns,
            );
        }
        foreach (array_unique($this->islands()) as $node) {
            $cards .= sprintf("Risland%d %s 0 %.15g\n", $node, $this->name($node), self::ISLAND_OHM);
        }

        return $cards;
    }

    private function name(int $node): string
    {
        return $node === 0 ? '0' : $this->names[$node];
    }
}
