<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

/** A contact that opens, or closes, while a fire burns, and what follows. */
final readonly class Opening
{
    /**
     * @param string $what id of its contact
     * @param list<string> $on ids of what is on afterwards
     * @param list<string> $off of what has gone off
     */
    public function __construct(
        public string $what,
        public string $title,
        public string $outcome,
        public array $on,
        public array $off,
    ) {}
}
