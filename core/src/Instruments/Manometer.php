<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/**
 * Gas pressure at a tap, or suction at a hose. Figures: common practice, no source; an inch of water is 2.490889 mbar
 * (NIST SP 811, appendix B).
 */
final readonly class Manometer extends AtTap
{
    public const KEY = 'gauge';

    public const MINUTES = 2.0;

    protected const SIGNED = true;

    protected const TO_METRIC = 2.490889;

    protected function made(bool $metric): Specification
    {
        return $metric
            ? new Specification('mbar', 60, 600, 0.010, 1, 0.02, 0.02, 900)
            : new Specification('in. w.c.', 60, 60, 0.010, 1, 0.02, 0.01, 900);
    }
}
