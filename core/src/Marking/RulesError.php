<?php

declare(strict_types=1);

namespace OddSpark\Marking;

/** House rules are not written as the format asks: where, as a JSON pointer, and what. */
final class RulesError extends \DomainException
{
    public function __construct(public readonly string $pointer, string $sentence)
    {
        parent::__construct("$pointer: $sentence");
    }
}
