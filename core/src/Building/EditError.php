<?php

declare(strict_types=1);

namespace OddSpark\Building;

/** An edit that cannot be made: which field of it, and a sentence. */
final class EditError extends \DomainException
{
    public function __construct(public readonly string $pointer, public readonly string $sentence)
    {
        parent::__construct($sentence);
    }
}
