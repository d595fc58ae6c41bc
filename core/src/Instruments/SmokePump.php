<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** Flue gas drawn through paper: the spot against a scale of 0 to 9. Figures: common practice, no source. */
final readonly class SmokePump extends AtTap
{
    public const KEY = 'smoke';

    public const MINUTES = 3.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('smoke', 6000, 6000, 0.0, 1, 0.0, 0.3, 60_000);
    }
}
