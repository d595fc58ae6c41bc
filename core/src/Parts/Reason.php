<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/** Why a primitive does not do now what it is there for: how one would say it after its name, and what to ask next. */
final readonly class Reason
{
    /** @param list<string> $because ids of primitives */
    public function __construct(public string $text, public array $because = []) {}
}
