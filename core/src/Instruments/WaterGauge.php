<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** Pressure of the water at a tapping. Figures: common practice, no source. */
final readonly class WaterGauge extends AtTap
{
    public const KEY = 'water_gauge';

    public const MINUTES = 2.0;

    protected function made(bool $metric): Specification
    {
        return $metric
            ? new Specification('bar', 6, 6, 0.015, 1, 0.02, 0.02, 900)
            : new Specification('psi', 60, 60, 0.015, 1, 0.02, 0.2, 900);
    }
}
