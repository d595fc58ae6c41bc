<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** A probe in the air, on a wall or in a pocket. Figures: common practice, no source. */
final readonly class Thermometer extends AtTap
{
    public const KEY = 'probe';

    public const MINUTES = 1.0;

    protected const SIGNED = true;

    protected function made(bool $metric): Specification
    {
        return $metric
            ? new Specification('°C', 600, 1000, 0.005, 10, 0.0, 1.0, 5000)
            : new Specification('°F', 600, 1800, 0.005, 20, 0.0, 2.0, 5000);
    }
}
