<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/** What hands can do to a part of a kind beside setting it. */
final readonly class HandHolds
{
    /** @param list<string> $spares that the van has for it */
    public function __construct(
        public bool $turn,
        public bool $push,
        public bool $clock,
        public bool $suck,
        public bool $batteries,
        public int|float|null $fuse,
        public bool $reset,
        public array $spares,
    ) {}
}
