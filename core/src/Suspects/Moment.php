<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Bench\Outcome;

/**
 * The suspects at a moment of an attempt: on arrival, when an entry is about to be made, or when it has been made.
 * While it is looked at, {@see Tracker::candidates} are at that moment.
 */
final readonly class Moment
{
    /**
     * @param int $entry its number; -1 on arrival
     * @param bool $isAfter the entry has been made
     * @param array<string, Outcome> $shown what each candidate would have shown at the entry, once it has been made
     */
    public function __construct(
        public int $entry,
        public bool $isAfter,
        public Suspects $suspects,
        public array $shown = [],
    ) {}
}
