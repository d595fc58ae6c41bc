<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/**
 * Draught over the fire or in the breech. Figures: common practice, no source; an inch of water is 249.0889 Pa (NIST SP
 * 811, appendix B).
 */
final readonly class DraughtGauge extends AtTap
{
    public const KEY = 'draught';

    public const MINUTES = 2.0;

    protected const SIGNED = true;

    protected const TO_METRIC = 249.0889;

    protected function made(bool $metric): Specification
    {
        return $metric
            ? new Specification('Pa', 600, 6000, 0.020, 1, 0.05, 0.5, 2000)
            : new Specification('in. w.c.', 6, 6, 0.020, 1, 0.05, 0.002, 2000);
    }
}
