<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * What does not change while an appliance runs: the nodes, which branches and windings join them,
 * and the frequency.
 *
 * Windings are not branches: a pair of coupled windings is one rank-one term
 * y·aaᵀ with a = e(p1) − e(p2) − n (e(s1) − e(s2)), y the admittance of its leakage and copper.
 */
final readonly class Network
{
    /**
     * @param list<array{int, int, int, int}> $windings p1, p2, s1, s2 of each coupled pair
     * @param list<array{int, int}> $flames rod and burner node of each flame
     */
    public function __construct(
        public Topology $topology,
        public float $hertz,
        public array $windings = [],
        public array $flames = [],
    ) {}

    /** Radians a second. */
    public function omega(): float
    {
        return 2 * M_PI * $this->hertz;
    }
}
