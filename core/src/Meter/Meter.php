<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Circuit\Solution;

/** From what the circuit offers to what an ordinary instrument shows of it, and back: could it have been this? */
final class Meter
{
    /** Ohms under which the buzzer sounds. */
    public const BEEPS_BELOW = 30.0;

    /** Volts on the leads from which ohms and microfarads are nonsense, AC; at DC see {@see Ohmmeter}. */
    private const LIVE_V = 0.5;

    /** Ohms over which a meter charges a capacitor on its upper ranges; seconds that an eye can follow. From memory. */
    private const CHARGES_OHM = 1e6;

    private const A_KICK_S = 0.3;

    /** A frequency is counted from so many volts on. */
    private const COUNTS_FROM_V = 1.0;

    /** How far off a low battery can take a figure, at most. From memory. */
    private const LOW_BATTERY = 0.08;

    /**
     * The exact figure that the circuit offers between two places, no noise: INF for OL, NAN for a live circuit
     * where a dead one is wanted.
     *
     * @param Solution $s with the meter's own resistance in it ({@see Mode::siemens})
     */
    public static function exact(Mode $mode, Solution $s, int $red, int $black): float
    {
        if ($mode->wantsDead() && $s->acVolts($red, $black) > self::LIVE_V) {
            return NAN;
        }

        return match ($mode) {
            Mode::VoltsAc, Mode::VoltsLow => $s->acVolts($red, $black),
            Mode::VoltsDc => $s->dcVolts($red, $black),
            Mode::Millivolts => self::within($mode, $s->dcVolts($red, $black) * 1e3),
            Mode::Microamps => $s->dcVolts($red, $black) / Mode::BURDEN_OHM['ua'] * 1e6,
            Mode::Milliamps => $s->dcVolts($red, $black) / Mode::BURDEN_OHM['ma'] * 1e3,
            Mode::Amps => $s->acVolts($red, $black) / Mode::BURDEN_OHM['aac'],
            Mode::Ohms, Mode::Beep => Ohmmeter::ohms($mode, $s, $red, $black),
            Mode::Microfarads => abs($s->dcVolts($red, $black)) > self::LIVE_V
                ? NAN
                : self::microfarads($s, $red, $black),
            Mode::Hertz => $s->acVolts($red, $black) >= self::COUNTS_FROM_V ? $s->hertz() : 0.0,
        };
    }

    /**
     * What the display shows for it.
     *
     * @param int|null $seed of the noise; the same seed gives the same figure. Null for none
     * @param float|null $range chosen by hand, as its largest figure; null to let the meter choose
     * @param bool $low with a battery that is nearly flat
     */
    public static function show(
        Scale $mode,
        float $exact,
        ?int $seed = null,
        ?float $range = null,
        bool $low = false,
    ): Reading {
        $specification = $mode->specification();
        if (is_nan($exact)) {
            return new Reading($mode, INF, 1.0, true, low: $low);
        }
        if (is_infinite($exact) || abs($exact) > ($range ?? INF) || abs($exact) > $specification->top * 1.0001) {
            return new Reading($mode, INF, $range === null ? 1.0 : $specification->step(0, $range), low: $low);
        }
        $step = $specification->step($exact, $range);
        $u = $seed === null ? 0.0 : crc32("$seed") / 0xFFFFFFFF * 2 - 1;
        // noise well inside the accuracy class
        $exact +=
            0.4 *
            $u *
            ($specification->share * abs($exact) * 0.25 + ($exact == 0.0 ? 0 : $specification->counts * $step));
        if ($low) {
            $exact *= 1 + self::LOW_BATTERY * (0.75 + 0.25 * $u);
        }
        $shown = round($exact / $step) * $step;

        return new Reading($mode, $mode->isSigned() ? $shown + 0.0 : max(0.0, $shown), $step, low: $low);
    }

    /** Whether a figure on the display could have come from this exact value. */
    public static function agrees(Reading $shown, float $exact): bool
    {
        if ($shown->unsteady) {
            return true; // it says nothing
        }
        if ($shown->live || is_nan($exact)) {
            return $shown->live === is_nan($exact);
        }

        return self::close(
            $shown->mode,
            $shown->value,
            $exact,
            $shown->step,
            $shown->low ? self::LOW_BATTERY * 1.05 : 0.0,
        );
    }

    /** Whether the smallest and largest figure that were kept could have come from these. */
    public static function keptAgrees(Reading $shown, ?float $least, ?float $most): bool
    {
        if ($shown->unsteady || $shown->least === null || $least === null || $most === null) {
            return true;
        }
        $slack = $shown->low ? self::LOW_BATTERY * 1.05 : 0.0;
        $step = $shown->range === null ? 0.0 : $shown->mode->specification()->step(0.0, $shown->range);

        return self::close($shown->mode, $shown->least, $least, $step, $slack) &&
            self::close($shown->mode, (float) $shown->most, $most, $step, $slack);
    }

    /**
     * How far a display may stand from the exact value: accuracy, resolution and the scatter of parts.
     *
     * @param float $step of the display, when it is known to be coarser than the value asks for
     */
    public static function tolerance(Scale $mode, float $exact, float $step = 0.0): float
    {
        $s = $mode->specification();

        return ($s->scatter + $s->share) * abs($exact) + ($s->counts + 1) * max($step, $s->step($exact)) + $s->hum;
    }

    private static function close(Scale $mode, float $shown, float $exact, float $step, float $slack): bool
    {
        if (is_infinite($shown) && is_infinite($exact)) {
            return true;
        }
        $specification = $mode->specification();
        if (is_infinite($shown)) {
            // over the range: of the mode, or of the one chosen by hand, which its step tells
            $top =
                $step < 1.0 || $mode !== Mode::Ohms
                    ? min($specification->top, $step >= 1.0 ? INF : $step * Specification::COUNTS)
                    : $specification->top;

            return abs($exact) * (1 + 2 * $specification->scatter + $specification->share + $slack) +
                $specification->hum >=
                min($top, $specification->top);
        }
        if (is_infinite($exact)) {
            return abs($shown) >= $specification->top * (1 - 2 * $specification->scatter - $specification->share);
        }

        if (! $mode->isSigned()) {
            $exact = max(0.0, $exact); // as the display shows it
        }

        return abs($shown - $exact) <= self::tolerance($mode, $exact, $step) + $slack * abs($exact);
    }

    /**
     * Microfarads between two places of a dead circuit: from the part of a small alternating current
     * that leads by a quarter. OL where more leaks than leads.
     */
    private static function microfarads(Solution $s, int $red, int $black): float
    {
        $z = $s->acOhms($red, $black);
        if ($z === null) {
            return 0.0;
        }
        $d = $z[0] * $z[0] + $z[1] * $z[1];
        if ($d == 0.0 || -$z[1] <= $z[0]) {
            return INF;
        }

        return self::within(Mode::Microfarads, -$z[1] / $d / (2 * M_PI * $s->hertz()) * 1e6);
    }

    /**
     * Whether ohms fall at first and then climb: a capacitor takes its charge from the meter, over a time that can be
     * seen. An open one does not.
     */
    public static function kicks(Solution $s, int $red, int $black): bool
    {
        $farads = self::microfarads($s, $red, $black) * 1e-6;

        return is_finite($farads) && min($s->dcOhms($red, $black), self::CHARGES_OHM) * $farads > self::A_KICK_S;
    }

    private static function within(Mode $mode, float $figure): float
    {
        return abs($figure) > $mode->specification()->top ? INF : $figure;
    }
}
