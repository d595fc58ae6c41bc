<?php

declare(strict_types=1);

namespace OddSpark\Trade;

use OddSpark\Words\Words;

/** Copper wire by gauge. */
final class Conductor
{
    /**
     * Ω per 1000 ft at 75 °C, uncoated, solid: NFPA 70, chapter 9, table 8 (figures written down
     * from memory of that table). 22 and 20 AWG, which the table does not list, are scaled from
     * 18 AWG by the definition of the gauge, a factor of 92^(1/39) in diameter a step.
     */
    private const OHM_PER_KFT = [18 => 7.77, 16 => 4.89, 14 => 3.07, 12 => 1.93, 10 => 1.21];

    /** @throws \DomainException for a gauge that is not known */
    public static function ohms(int $awg, float $feet, float $celsius = 25.0): float
    {
        $perKft =
            self::OHM_PER_KFT[$awg] ??
            match ($awg) {
                20, 22, 24 => self::OHM_PER_KFT[18] * 92 ** ((2 * ($awg - 18)) / 39),
                default => throw new \DomainException(
                    Words::say('trade.conductor.there_is_no_copper_conductor', ['awg' => $awg]),
                ),
            };

        // same table's note: R2 = R1 (1 + 0.00323 (T2 − 75))
        return $perKft * $feet / 1000 * (1 + 0.00323 * ($celsius - 75));
    }

    /**
     * By cross-section: annealed copper, 1/58 Ω mm²/m at 20 °C and 0.393 % a kelvin (IEC 60028, figures
     * written down from memory).
     */
    public static function metric(float $mm2, float $metres, float $celsius = 25.0): float
    {
        return $metres / 58 / $mm2 * (1 + 0.00393 * ($celsius - 20));
    }
}
