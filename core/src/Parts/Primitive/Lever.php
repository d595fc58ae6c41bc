<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Ability\StandsAsSet;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * A thing set by hand: a switch's lever, a thermostat's mode, a breaker's handle. Slot: at.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Lever extends Primitive implements StandsAsSet
{
    public const DOES = 'set by hand';

    public const MECHANICAL = ['at'];

    public const LIVE = false;

    private readonly string|float $at;

    /** @param Figures $p positions: list of names, or range: [low, high]; at: where it starts */
    public function __construct(array $p, Fittings $f)
    {
        $this->at = $p['at'];
    }

    public static function figures(array $spec): array
    {
        return [new Figure('at', '')];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        return new Reason(Words::say('parts.lever.is_at', ['at' => $slot['at']]));
    }

    public function initial(): array
    {
        return ['at' => $this->at];
    }
}
