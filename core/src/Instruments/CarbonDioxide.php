<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** Carbon dioxide in the flue gas. Figures: common practice, no source. */
final readonly class CarbonDioxide extends AtTap
{
    public const KEY = 'analyser_co2';

    public const MINUTES = 2.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('% CO₂', 600, 600, 0.0, 2, 0.05, 0.1, 30_000);
    }
}
