<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/** Conversions, each with its source. */
final class Units
{
    /** Conventional inch of water, Pa. NIST SP 811, appendix B. */
    public const PA_PER_IN_WC = 249.0889;

    /** Pound-force per square inch, Pa. NIST SP 811, appendix B. */
    public const PA_PER_PSI = 6894.757;

    /** Watt per Btu(IT) an hour. NIST SP 811, appendix B. */
    public const W_PER_BTU_H = 0.2930711;

    /** Sensible heat of standard air, Btu/h per CFM and °F. ASHRAE Fundamentals (1.08 to 1.10). */
    public const AIR_BTU_H_PER_CFM_F = 1.08;

    /** Milliseconds: the tick of bench time. */
    public const TICKS_PER_SECOND = 1000;

    public static function ticks(float $seconds): int
    {
        return (int) round($seconds * self::TICKS_PER_SECOND);
    }

    public static function seconds(int $ticks): float
    {
        return $ticks / self::TICKS_PER_SECOND;
    }
}
