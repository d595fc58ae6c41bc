<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** Draught over the fire or in the breech. Figures: common practice, no source. */
final readonly class DraughtGauge extends AtTap
{
    public const KEY = 'draught';

    public const TITLE = 'Draught gauge';

    public const MINUTES = 2.0;

    protected const SIGNED = true;

    protected function made(bool $metric): Specification
    {
        return new Specification('in. w.c.', 6, 6, 0.020, 1, 0.05, 0.002, 2000);
    }
}
