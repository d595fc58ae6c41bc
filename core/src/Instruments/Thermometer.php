<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Specification;

/** A probe in the air, on a wall or in a pocket. Figures: common practice, no source. */
final readonly class Thermometer extends AtTap
{
    public const KEY = 'probe';

    public const TITLE = 'Thermometer';

    public const MINUTES = 1.0;

    protected const SIGNED = true;

    protected function made(): Specification
    {
        return new Specification('°F', 600, 1800, 0.005, 20, 0.0, 2.0, 5000);
    }
}
