<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Trade\Response;

/**
 * A value that nothing in the appliance moves: the water level, the pressure in the street. Slot: course.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Still extends Primitive
{
    public const GIVEN = ['value' => 'number'];

    public const IN_KINDS = true;

    public const DOES = 'water level';

    public const LIVE = false;

    /** @param Figures $p value */
    public function __construct(private readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['course' => Response::still(0, (float) $this->p['value'])];
    }
}
