<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/** The network cannot be computed as it was given. */
final class CircuitError extends \DomainException
{
    public static function noSuchNode(int $branch, int $node, int $nodes): self
    {
        return new self("Branch $branch ends at node $node, but the network has only $nodes nodes.");
    }

    public static function notANumber(string $what): self
    {
        return new self("The $what came out as no number: some value in the network is not finite.");
    }
}
