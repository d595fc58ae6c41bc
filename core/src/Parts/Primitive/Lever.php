<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/** A thing set by hand: a switch's lever, a thermostat's mode, a breaker's handle. Slot: at. */
final class Lever extends Primitive
{
    public const MECHANICAL = ['at'];

    public const LIVE = false;

    private readonly string|float $at;

    /** @param array<string, mixed> $p positions: list of names, or range: [low, high]; at: where it starts */
    public function __construct(array $p, Fittings $f)
    {
        $this->at = $p['at'];
    }

    public function initial(): array
    {
        return ['at' => $this->at];
    }
}
