<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Appliance\Plan;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;

/** Where an instrument reads: an appliance as it stands, and the seed of the noise; null: what is exact. */
final readonly class Site
{
    public function __construct(
        public Plan $plan,
        public Machine $machine,
        public BenchState $state,
        public ?int $seed = null,
    ) {}

    /** The seed of this reading's noise. */
    public function noise(): ?int
    {
        return $this->seed === null ? null : crc32("$this->seed/{$this->state->acts}");
    }
}
