<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** What is in the flue gas. Figures: common practice, no source. */
final readonly class CombustionAnalyser extends AtTap
{
    public const KEY = 'analyser';

    public const MINUTES = 4.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('% O₂', 600, 600, 0.0, 2, 0.05, 0.1, 30_000);
    }
}
