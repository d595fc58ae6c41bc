<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** What the analyser makes of oxygen and stack temperature. Figures: common practice, no source. */
final readonly class Efficiency extends AtTap
{
    public const KEY = 'analyser_efficiency';

    public const MINUTES = 2.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('%', 1200, 1200, 0.0, 5, 0.05, 0.1, 30_000);
    }
}
