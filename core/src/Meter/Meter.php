<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Circuit\Solution;

/**
 * An ordinary handheld meter: 6000 counts, auto range, 10 MΩ on volts, a test current on ohms.
 *
 * Accuracy is that of a common instrument, common practice, no source: AC 1.0 % + 3 counts,
 * DC 0.5 % + 2, ohms 0.9 % + 2.
 */
final class Meter
{
    private const COUNTS = 6000;

    /** Lowest range of each mode, as its largest reading. */
    private const LOWEST = ['vac' => 6.0, 'vdc' => 6.0, 'vlz' => 600.0, 'ohm' => 600.0, 'beep' => 600.0, 'ua' => 600.0];

    private const HIGHEST_OHM = ['ohm' => 6.0e7, 'beep' => 600.0];

    /** Ohms under which the buzzer sounds. */
    public const BEEPS_BELOW = 30.0;

    /** What the fuse of the microamp range stands, A. */
    public const FUSE_AMPS = 0.2;

    private const ACCURACY = ['vac' => [0.010, 3], 'vdc' => [0.005, 2], 'vlz' => [0.020, 3], 'ohm' => [0.009, 2], 'beep' => [0.009, 2], 'ua' => [0.010, 2]];

    /** Scatter of good parts of one label, allowed for in ohms and, much diluted, in volts. */
    private const SCATTER = ['vac' => 0.012, 'vdc' => 0.05, 'vlz' => 0.03, 'ohm' => 0.035, 'beep' => 0.035, 'ua' => 0.05];

    /** Volts on the leads from which ohms are nonsense. */
    private const LIVE_V = 0.5;

    /**
     * The exact value that the circuit offers, no noise: INF for open, NAN for ohms on live.
     *
     * @param Solution $s with the meter's own resistance in it ({@see Mode::siemens})
     */
    public static function exact(Mode $mode, Solution $s, int $red, int $black): float
    {
        return match ($mode) {
            Mode::VoltsAc, Mode::VoltsLow => $s->acVolts($red, $black),
            Mode::Microamps => $s->dcVolts($red, $black) / Mode::BURDEN_OHM * 1e6,
            Mode::VoltsDc => $s->dcVolts($red, $black),
            Mode::Ohms, Mode::Beep => $s->acVolts($red, $black) > self::LIVE_V || abs($s->dcVolts($red, $black)) > self::LIVE_V
                ? NAN
                : self::limited($mode, $s->dcOhms($red, $black)),
        };
    }

    /**
     * What the display shows for it.
     *
     * @param int|null $seed of the noise; the same seed gives the same figure. Null for none
     */
    public static function show(Mode $mode, float $exact, ?int $seed = null): Reading
    {
        if (is_nan($exact)) {
            return new Reading($mode, INF, 1.0, true);
        }
        if (is_infinite($exact)) {
            return new Reading($mode, INF, 1.0);
        }
        $step = self::step($mode, $exact);
        if ($seed !== null) {
            [$share, $counts] = self::ACCURACY[$mode->value];
            $u = crc32("$seed") / 0xFFFFFFFF * 2 - 1;
            // noise well inside the accuracy class
            $exact += 0.4 * $u * ($share * abs($exact) * 0.25 + ($exact == 0.0 ? 0 : $counts * $step));
        }
        $shown = round($exact / $step) * $step;

        return new Reading($mode, in_array($mode, [Mode::VoltsDc, Mode::Microamps], true) ? $shown : max(0.0, $shown), $step);
    }

    /** Whether a figure on the display could have come from this exact value. */
    public static function agrees(Reading $shown, float $exact): bool
    {
        if ($shown->live || is_nan($exact)) {
            return $shown->live === is_nan($exact);
        }
        if (is_infinite($shown->value) || is_infinite($exact)) {
            $far = is_infinite($exact) ? $shown->value : $exact;

            return $far >= (self::HIGHEST_OHM[$shown->mode->value] ?? INF) * (1 - 2 * self::SCATTER['ohm']);
        }

        return abs($shown->value - $exact) <= self::tolerance($shown->mode, $exact);
    }

    /** How far a display may stand from the exact value: accuracy, resolution and the scatter of parts. */
    public static function tolerance(Mode $mode, float $exact): float
    {
        [$share, $counts] = self::ACCURACY[$mode->value];
        $small = match (true) {
            $mode->wantsDead() => 0.3,
            $mode === Mode::Microamps => 0.15,
            default => 0.02,
        }; // leads, and what hums into them

        return (self::SCATTER[$mode->value] + $share) * abs($exact) + ($counts + 1) * self::step($mode, $exact) + $small;
    }

    private static function limited(Mode $mode, float $ohms): float
    {
        return $ohms > self::HIGHEST_OHM[$mode->value] ? INF : $ohms;
    }

    private static function step(Mode $mode, float $value): float
    {
        $range = self::LOWEST[$mode->value];
        while (abs($value) >= $range) {
            $range *= 10;
        }

        return $range / self::COUNTS;
    }
}
