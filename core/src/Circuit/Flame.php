<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * A flame between rod and burner as a source for the DC network, made out from the AC at its place.
 *
 * Two slopes: I0 = (Vp/π)(1/Ra − 1/Rb), G = ½(1/Ra + 1/Rb), Ra and Rb the forward and reverse resistance each with the
 * AC source's own; the mean of a half wave, I = Vp/(πR), is in any circuits textbook.
 */
final readonly class Flame
{
    /** A rod that only the flame itself holds: its source would be a million times the flame's resistance. */
    private const HELD_BY_FLAME = 1e-12;

    private function __construct(
        /** A, rod to burner. */
        public float $amps,
        public float $siemens,
        /** Peak volts of what feeds it. */
        public float $peak,
    ) {}

    /**
     * @param array{float, float} $volts rms between rod and burner, real and imaginary, with the flame's AC shunt
     * @param array{float, float}|null $ohms seen from there, the shunt among them; null when nothing joins the two
     * @param float $forward Ω
     * @param float $reverse Ω
     */
    public static function fed(array $volts, ?array $ohms, float $forward, float $reverse): self
    {
        // the flame's own AC shunt, 2 Rf, is in the network: take it out of what is seen
        $g = 1 / (2 * $forward);
        [$nr, $ni] = $ohms === null ? [0.0, 0.0] : [1 - $ohms[0] * $g, -$ohms[1] * $g];
        $d = $nr * $nr + $ni * $ni;
        if ($ohms === null || $d < self::HELD_BY_FLAME) {
            // nothing feeds the rod: its wire is open
            return new self(0.0, 0.5 * (1 / $forward + 1 / $reverse), 0.0);
        }
        [$vr, $vi] = $volts;
        $peak = M_SQRT2 * sqrt(($vr * $vr + $vi * $vi) / $d);
        $source = ($ohms[0] * $nr + $ohms[1] * $ni) / $d;
        $a = 1 / ($forward + $source);
        $b = 1 / ($reverse + $source);

        return new self($peak / M_PI * ($a - $b), 0.5 * ($a + $b), $peak);
    }

    /**
     * By how much its current is otherwise than the two slopes at no DC say, where so many volts of DC stand across it:
     * the half waves are cut later or earlier.
     */
    public function bend(float $across): float
    {
        $x = $this->peak > 0 ? min(0.99, abs($across) / $this->peak) : 0.0;

        return 1 + sqrt(1 - $x * $x) - $x * acos($x) - (1 - M_PI * $x / 2);
    }
}
