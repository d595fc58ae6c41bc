<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

use OddSpark\Parts\Primitive;

/**
 * Opens when another part's fault overloads it: what it then shows is a symptom.
 *
 * @phpstan-import-type Slot from Primitive
 */
interface GoesAlong
{
    /** @param Slot $slot */
    public static function hasGone(array $slot): bool;
}
