<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Opens when another part's fault overloads it: what it then shows is a symptom. */
interface GoesAlong
{
    /** @param array<string, mixed> $slot */
    public static function hasGone(array $slot): bool;
}
