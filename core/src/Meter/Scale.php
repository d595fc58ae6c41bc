<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/** What a figure is read on: a position of the meter's dial, or another instrument. */
interface Scale
{
    /** As it is written in logs and snapshots. */
    public function key(): string;

    public function specification(): Specification;

    /** Whether the figure has a sign. */
    public function isSigned(): bool;

    /** Whether it sends a current of its own, and wants a dead circuit. */
    public function wantsDead(): bool;
}
