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

    /** Absolute zero below 0 °C and below 0 °F. */
    public const KELVIN = 273.15;

    public const RANKINE = 459.67;

    /** Heat of a stream of water: Btu/h per gal/min and °F (8.34 lb a gallon), W per l/min and K (4.18 kJ/kg·K). */
    public const WATER_BTU_H_PER_GPM_F = 500.0;

    public const WATER_W_PER_L_MIN_K = 69.7;

    /** Sensible heat of air, W per m³/h and K (1.2 kg/m³, 1.006 kJ/kg·K). */
    public const AIR_W_PER_M3_H_K = 0.335;

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
