<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Run\BenchState;

/** How the meter is that a person comes with: like new, or as meters are that many have used. */
final readonly class Kit
{
    /** Share of placements at which a worn lead does not touch. From memory. */
    private const WORN = 0.06;

    public function __construct(public bool $lowBattery = false, public bool $wornLeads = false) {}

    /** @param array{low_battery?: bool, worn_leads?: bool} $kit */
    public static function of(array $kit): self
    {
        return new self($kit['low_battery'] ?? false, $kit['worn_leads'] ?? false);
    }

    /** A state as found, with this kit in hand. */
    public function with(BenchState $state): BenchState
    {
        return $state->with(battery: $this->lowBattery ? 'low' : 'good');
    }

    /** Which lead does not touch at this placement: the same for the same seed and act. */
    public function loose(int $seed, int $act): ?string
    {
        $chance = (int) hexdec(hash('xxh32', "$seed/lead/$act"));

        return $this->wornLeads && $chance / 0xFFFFFFFF < self::WORN ? ($chance % 2 === 0 ? 'red' : 'black') : null;
    }
}
