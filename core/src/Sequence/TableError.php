<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

/** A sequence table that cannot be run: where, as a JSON pointer within it, and why. */
final class TableError extends \DomainException
{
    public function __construct(public readonly string $pointer, public readonly string $sentence)
    {
        parent::__construct("$pointer: $sentence");
    }
}
