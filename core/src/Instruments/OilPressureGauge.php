<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** The pressure of the oil pump at its port. Figures: common practice, no source. */
final readonly class OilPressureGauge extends AtTap
{
    public const KEY = 'oil_gauge';

    public const MINUTES = 4.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('psi', 6000, 6000, 0.010, 1, 0.04, 0.5, 500);
    }
}
