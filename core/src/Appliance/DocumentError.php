<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/** A document says something that cannot be: where, as a JSON pointer, and what. */
final class DocumentError extends \DomainException
{
    public function __construct(public readonly string $pointer, public readonly string $sentence)
    {
        parent::__construct(($pointer === '' ? '' : "$pointer: ").$sentence);
    }
}
