<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * A flame between rod and burner, fed by what the AC has at its place: a source for the DC network, and what it does
 * to the AC itself.
 *
 * It conducts with two slopes, each behind the AC source's own resistance Rs: ga = 1/(Rf + Rs), gb = 1/(Rr + Rs). With
 * e = Vp sin θ + D across both, D what stands there of DC, the mean, the fundamental and the mean square of the current
 * are those of a sine cut at x = D/Vp, as any circuits textbook has them for x = 0: Vp/(πR), half, a quarter.
 */
final readonly class Flame
{
    /** A rod that only the flame itself holds: its source would be a million times the flame's resistance. */
    private const HELD_BY_FLAME = 1e-12;

    /** A diode passes for held by itself only far beyond: a voltmeter behind it is a million times its ohms. */
    private const HELD_BY_DIODE = 1e-18;

    /** Rms of the harmonics of a sine of one volt that is cut, at most: cut at nought. Derived. */
    private const HARMONICS = 0.1540;

    private const PASSES = 60;

    private function __construct(
        /** Of the slopes, with what feeds it. */
        private float $forward,
        private float $reverse,
        /** What stands for it at DC beside its current. */
        public float $siemens,
        /** Peak volts of what feeds it. */
        public float $peak,
        /** Of what feeds it, Ω. */
        private float $source,
        /** Ω that it has at least: where next to nothing feeds it, the rest is a difference of two large figures. */
        private float $least,
    ) {}

    /**
     * @param array{float, float} $volts rms between rod and burner, real and imaginary, with the flame's AC shunt
     * @param array{float, float}|null $ohms seen from there, the shunt among them; null when nothing joins the two
     * @param float $forward Ω
     * @param float $reverse Ω
     */
    public static function fed(
        array $volts,
        ?array $ohms,
        float $forward,
        float $reverse,
        bool $isDiode = false,
    ): self {
        // the flame's own AC shunt, 2 Rf, is in the network: take it out of what is seen
        $g = 1 / (2 * $forward);
        [$nr, $ni] = $ohms === null ? [0.0, 0.0] : [1 - $ohms[0] * $g, -$ohms[1] * $g];
        $d = $nr * $nr + $ni * $ni;
        if ($ohms === null || $d < ($isDiode ? self::HELD_BY_DIODE : self::HELD_BY_FLAME)) {
            // nothing feeds the rod: its wire is open
            return new self(0.0, 0.0, 0.5 * (1 / $forward + 1 / $reverse), 0.0, 0.0, $forward);
        }
        [$vr, $vi] = $volts;
        $peak = M_SQRT2 * sqrt(($vr * $vr + $vi * $vi) / $d);
        $source = ($ohms[0] * $nr + $ohms[1] * $ni) / $d;
        $a = 1 / ($forward + $source);
        $b = 1 / ($reverse + $source);

        return new self($a, $b, 0.5 * ($a + $b), $peak, $source, $forward);
    }

    /**
     * The current that it settles at in a DC network that leaves so many volts across it, less so many ohms times what
     * it drives beside its siemens.
     *
     * @param float $volts of rod against burner when it drives nothing
     * @return array{float, float} A, rod to burner: what it drives beside its siemens; and volts across it and its
     *     source as a share of the peak
     */
    public function settle(float $volts, float $ohms): array
    {
        if ($this->peak <= 0.0) {
            return [0.0, 0.0];
        }
        // what it would drive falls as it drives more: one crossing, found between two bounds
        [$amps, $x] = [0.0, 0.0];
        $most = 4 * $this->forward * ($this->peak + abs($volts));
        [$low, $high] = [-$most, $most];
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            $across = $volts - $ohms * $amps;
            $whole = $amps + $this->siemens * $across;
            $x = ($across + $this->source * $whole) / $this->peak;
            $miss = $this->peak * $this->mean($x) - $whole;
            if (abs($miss) <= 1e-13 * ($this->peak * $this->forward)) {
                break;
            }
            [$low, $high] = $miss > 0 ? [$amps, $high] : [$low, $amps];
            // by the slope there; halved where that leads out of the bounds
            $slope = $this->slope($x) * (-$ohms + $this->source * (1 - $this->siemens * $ohms))
                - (1 - $this->siemens * $ohms);
            $next = $slope < 0 ? $amps - $miss / $slope : INF;
            $amps = $next > $low && $next < $high ? $next : ($low + $high) / 2;
        }

        return [$amps, $x];
    }

    /** Siemens by which its AC is otherwise than the shunt of twice its resistance, with such a share of DC. */
    public function bends(float $x, float $shunt): float
    {
        if ($this->peak <= 0.0) {
            return 0.0;
        }
        $both = $this->forward * self::fundamental($x) + $this->reverse * self::fundamental(-$x);

        return 1 / max(1 / max($both, 1e-15) - $this->source, $this->least) - $shunt;
    }

    /** A rms of its current's harmonics, with such a share of DC. */
    public function harmonics(float $x): float
    {
        $square = $this->forward ** 2 * self::square($x) + $this->reverse ** 2 * self::square(-$x);
        $first = $this->forward * self::fundamental($x) + $this->reverse * self::fundamental(-$x);

        return $this->peak * sqrt(max(0.0, $square - $this->mean($x) ** 2 - $first ** 2 / 2));
    }

    /**
     * A rms of its harmonics at most, with such a share of DC: no cut sine has more, and what lies behind it never
     * stands beyond the peak of what feeds it, of whose square the DC has its part (a cable that a diode has charged
     * has no AC left).
     *
     * @param array{float, float} $ohms seen from it, its own shunt among them
     */
    public function most(float $x, array $ohms): float
    {
        $g = 1 / (2 * $this->least);
        $behind = hypot(...$ohms) / max(hypot(1 - $g * $ohms[0], $g * $ohms[1]), 1e-15);

        return $this->peak * min(sqrt(max(0.0, 1 - $x * $x)), self::HARMONICS) / max($behind, 1e-9);
    }

    /** Mean of its current over the peak. */
    private function mean(float $x): float
    {
        return $this->forward * self::half($x) - $this->reverse * self::half(-$x);
    }

    /** Siemens that it has there: how the current goes with the DC. */
    private function slope(float $x): float
    {
        $share = acos(-max(-1.0, min(1.0, $x))) / M_PI; // of a turn that is forward

        return $this->forward * $share + $this->reverse * (1 - $share);
    }

    /** Mean of what of sin θ + x lies above nought. */
    private static function half(float $x): float
    {
        return match (true) {
            $x >= 1 => $x,
            $x <= -1 => 0.0,
            default => (sqrt(1 - $x * $x) + $x * acos(-$x)) / M_PI,
        };
    }

    /** Its fundamental. */
    private static function fundamental(float $x): float
    {
        return match (true) {
            $x >= 1 => 1.0,
            $x <= -1 => 0.0,
            default => (acos(-$x) + $x * sqrt(1 - $x * $x)) / M_PI,
        };
    }

    /** Its mean square. */
    private static function square(float $x): float
    {
        return match (true) {
            $x >= 1 => 0.5 + $x * $x,
            $x <= -1 => 0.0,
            default => ((1 + 2 * $x * $x) * acos(-$x) + 3 * $x * sqrt(1 - $x * $x)) / (2 * M_PI),
        };
    }
}
