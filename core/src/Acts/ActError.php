<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** An act is not written as the format asks: where, as a JSON pointer ('' where it is the act as such), and what. */
final class ActError extends \DomainException
{
    public function __construct(public readonly string $pointer, string $sentence)
    {
        parent::__construct($pointer === '' ? $sentence : "$pointer: $sentence");
    }
}
