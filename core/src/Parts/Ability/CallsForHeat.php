<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Calls for heat by what it feels: parameter of or room. */
interface CallsForHeat
{
    /** Key of its slot that is true while it calls. */
    public static function callKey(): string;

    /** Whether it has a display that can go blank. */
    public static function isDisplay(): bool;
}
