<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** Carbon monoxide in the flue gas. Figures: common practice, no source. */
final readonly class CarbonMonoxide extends AtTap
{
    public const KEY = 'analyser_co';

    public const MINUTES = 2.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('ppm', 6000, 60_000, 0.05, 10, 0.05, 5, 40_000);
    }
}
