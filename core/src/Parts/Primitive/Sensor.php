<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Ability\Senses;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * Makes or breaks at a level of a process value, with a differential. Slot: made, latched for a manual reset, sucked
 * (by mouth), away: what it feels in the hand, while its part is off.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Sensor extends Primitive implements Senses
{
    public const DOES = 'senses feels';

    private readonly string $of;

    private readonly float $opens;

    private readonly float $closes;

    private readonly bool $manual;

    private readonly bool $torn;

    /**
     * @param Figures $p of: process id, opens_at and closes_at in its unit (opens above closes:
     *     on rise; below: on fall), manual_reset: stays open until reset; torn: its diaphragm feels nothing any more
     */
    public function __construct(array $p, Fittings $f)
    {
        $this->of = $p['of'];
        $this->opens = $p['opens_at'];
        $this->closes = $p['closes_at'];
        $this->manual = $p['manual_reset'] ?? false;
        $this->torn = $p['torn'] ?? false;
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('opens_at', Figure::AS_FELT),
            new Figure('closes_at', Figure::AS_FELT),
            new Figure('manual_reset', ''),
        ];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        if ($spec['torn'] ?? false) {
            return new Reason(Words::say('parts.sensor.has_a_torn_diaphragm_and'));
        }
        $x = round($slot['away'] ?? $now->value($spec['of']), 1);

        return new Reason(
            $slot['made']
                ? Words::say('parts.sensor.is_made_at_it_opens', ['x' => $x, 'opens_at' => $spec['opens_at']])
                : Words::say('parts.sensor.stands_open_at_it_closes', [
                    'x' => $x,
                    'closes_at' => $spec['closes_at'],
                    'words' => $slot['latched'] ?? false ? Words::say('parts.sensor.and_waits_to_be_reset') : '.',
                ]),
        );
    }

    public function initial(): array
    {
        return ['made' => $this->opens > $this->closes, 'latched' => false];
    }

    public function follows(): array
    {
        return [$this->of];
    }

    public function react(array $slot, Surroundings $now): array
    {
        if ($slot['sucked'] ?? false) {
            return ['made' => true] + $slot;
        }
        $x = $this->torn ? 0.0 : $slot['away'] ?? $now->value($this->of);
        $onRise = $this->opens > $this->closes;
        // a crossing is found to the tick, so the value may stand a hair short of the level
        $slack = 1e-6 * (abs($x) + 1);
        if ($slot['made']) {
            if ($onRise ? $x >= $this->opens - $slack : $x <= $this->opens + $slack) {
                return ['made' => false, 'latched' => $this->manual] + $slot;
            }
        } elseif (! $slot['latched'] && ($onRise ? $x <= $this->closes + $slack : $x >= $this->closes - $slack)) {
            return ['made' => true, 'latched' => false] + $slot;
        } elseif ($this->manual && ! $slot['latched']) {
            return ['made' => false, 'latched' => true] + $slot; // pressed with its cause still there: it does not hold
        }

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        return ($slot['sucked'] ?? false) || isset($slot['away']) || $this->torn
            ? self::NEVER
            : $now->crossing($this->of, [$slot['made'] ? $this->opens : $this->closes]);
    }

    public function shows(array $slot): string
    {
        return $slot['latched'] ? 'tripped' : '';
    }
}
