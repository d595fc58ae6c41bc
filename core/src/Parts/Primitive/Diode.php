<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Wired;

/**
 * A diode: lets current through one way, next to none the other. What is fed through it has half waves: DC of 0.45 of
 * the volts before it, and AC beside.
 *
 * Two slopes and no threshold, computed as a flame is ({@see \OddSpark\Circuit\Flame}).
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Diode extends Primitive
{
    public const DOES = 'rectifies half wave one way';

    public const LIVE = false;

    private const FORWARD_OHM = 5.0;

    private const REVERSE_OHM = 5.0e6;

    private readonly float $forward;

    private readonly float $reverse;

    /**
     * @param Figures $p from, to: the way it lets through; forward_ohm, reverse_ohm; weak: what gets through feeds
     *     nothing, and is no way for the wiring; open, shorted
     */
    public function __construct(private readonly array $p, private readonly Fittings $f)
    {
        $this->forward = (float) ($p['forward_ohm'] ?? self::FORWARD_OHM);
        $this->reverse = (float) ($p['reverse_ohm'] ?? self::REVERSE_OHM);
    }

    public static function wiring(array $spec): array
    {
        return ($spec['weak'] ?? false) ? [] : [Wired::switch($spec['from'], $spec['to'])];
    }

    public static function figures(array $spec): array
    {
        return [new Figure('forward_ohm', 'Ω'), new Figure('reverse_ohm', 'Ω')];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault('open', 'open', ['open' => true], 0.5),
            new NaturalFault('shorted', 'shorted', ['shorted' => true], 0.5),
        ];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [[$spec['from'], $spec['to']]], 'flames' => [[$spec['from'], $spec['to']]]];
    }

    public function stamp(array $slot, Values $values): void
    {
        $flame = $this->f->flames[0];
        unset($values->flames[$flame]);
        if ($this->p['open'] ?? false) {
            $values->resistor($this->f->branches[0], 0.0);
        } elseif ($this->p['shorted'] ?? false) {
            $values->resistor($this->f->branches[0], 1 / $this->forward);
        } else {
            $values->resistor($this->f->branches[0], 1 / (2 * $this->forward));
            $values->flames[$flame] = [$this->forward, $this->reverse, 1 / (2 * $this->forward), true];
        }
    }
}
