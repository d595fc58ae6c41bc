<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

use OddSpark\Parts\Primitive;

/**
 * Has a shaft that turns, and that a hand can turn; parameters seized, drag.
 *
 * @phpstan-import-type Slot from Primitive
 */
interface Turns
{
    /**
     * What it comes to as it is fed now, as a share of its full speed.
     *
     * @param Slot $slot
     */
    public static function speed(array $slot): float;
}
