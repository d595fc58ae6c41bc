<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Circuit\Solution;

/**
 * Ohms as the meter makes them: it sends a current and reads the volts it gets for it.
 *
 * What else puts volts there is read as ohms too: a heated thermopile shows more or less than it has,
 * with the leads exchanged the other way, or OL. From {@see LIVE_V} on the meter warns.
 */
final class Ohmmeter
{
    /** More than the meter's own source could have given: it warns. */
    private const LIVE_V = 3.0;

    /** Volts that the test current makes at the top of a range. Common practice, no source. */
    private const TEST_V = 0.6;

    /** @return float Ω; INF is OL, NAN a live circuit; below zero when something drives against it */
    public static function ohms(Mode $mode, Solution $s, int $red, int $black): float
    {
        $volts = $s->dcVolts($red, $black);
        if (abs($volts) > self::LIVE_V) {
            return NAN;
        }
        $ohms = $s->dcOhms($red, $black);
        if (is_infinite($ohms)) {
            return INF;
        }
        foreach ($mode->specification()->ranges() as $range) {
            $shown = $ohms + $volts / (self::TEST_V / $range);
            if ($shown <= $range) {
                return $shown;
            }
        }

        return INF;
    }
}
