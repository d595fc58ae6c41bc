<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** Gas pressure at a tap, or suction at a hose. Figures: common practice, no source. */
final readonly class Manometer extends AtTap
{
    public const KEY = 'gauge';

    public const TITLE = 'Manometer';

    public const MINUTES = 2.0;

    protected const SIGNED = true;

    protected function made(bool $metric): Specification
    {
        return new Specification('in. w.c.', 60, 60, 0.010, 1, 0.02, 0.01, 900);
    }
}
