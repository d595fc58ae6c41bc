<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Reading;

/** A reading, and the exact figures that it came from. */
final readonly class Measured
{
    /** @param float|null $least smallest and largest exact figure since they were asked to be kept */
    public function __construct(
        public float $exact,
        public Reading $reading,
        public ?float $least = null,
        public ?float $most = null,
    ) {}
}
