<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * What would carry, burn or hold heat, in a part that no pipe leads to: it does nothing and shows nothing.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Unjoined extends Primitive
{
    public const GIVEN = ['of' => 'text?'];

    public const LIVE = false;

    /** @param Figures $p of what it would be */
    public function __construct(array $p, Fittings $f) {}
}
