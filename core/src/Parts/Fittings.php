<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/** Where a primitive sits in the network: its nodes by name, its branches, windings and flames by number. */
final readonly class Fittings
{
    /**
     * @param array<string, int> $nodes
     * @param list<int> $branches
     * @param list<int> $windings
     * @param list<int> $flames
     */
    public function __construct(
        public array $nodes,
        public array $branches,
        public array $windings,
        public array $flames,
        public float $omega,
    ) {}
}
