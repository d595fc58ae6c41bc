<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;

/**
 * A thermocouple, or many of them in a thermopile: millivolts that follow the heat of its tip, behind
 * an inner resistance. Slot: band, the step of its volts that it stands in.
 *
 * The volts go in proportion to the heat, in steps, so that states can be remembered; a step is left
 * downwards half a step below where it was entered.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class ThermoSource extends Primitive
{
    public const DOES = 'makes millivolts';

    /** Volts that it is spoken of as giving, to the wiring. */
    private const USUAL_V = 0.03;

    public const VARIES = true;

    public const MECHANICAL = ['of', 'cold_f', 'hot_f'];

    private const STEPS = 16;

    /**
     * @param Figures $p between (plus first), of: process id of the tip's °F, millivolts at hot_f,
     *     none at cold_f, ohm, open, opens_above_f: breaks when hot
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [Wired::supply($spec['between'][0], $spec['between'][1], self::USUAL_V, 'millivolts')];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('millivolts', 'mV', varies: true),
            new Figure('cold_f', '°F'),
            new Figure('hot_f', '°F'),
            new Figure('ohm', 'Ω'),
        ];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function electric(array $slot): string
    {
        return $slot['band'].($slot['broken'] ? 'x' : '');
    }

    public function initial(): array
    {
        return ['band' => 0, 'broken' => false];
    }

    public function stamp(array $slot, Values $values): void
    {
        $y = ($this->p['open'] ?? false) || $slot['broken'] ? 0.0 : 1 / $this->p['ohm'];
        $values->resistor($this->f->branches[0], $y);
        $volts = $this->p['millivolts'] / 1000 * $slot['band'] / self::STEPS;
        $values->source($this->f->branches[0], $this->f->nodes['a'], $this->f->nodes['b'], 0.0, 0.0, $volts * $y);
    }

    public function follows(): array
    {
        return [$this->p['of']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $tip = $now->value($this->p['of']);
        $at = ($tip - $this->p['cold_f']) / ($this->p['hot_f'] - $this->p['cold_f']) * self::STEPS;
        // a crossing is found to the tick, so the value may stand a hair short of the edge
        while ($at >= $slot['band'] + 1 - 1e-4 && $slot['band'] < 2 * self::STEPS) {
            $slot['band']++;
        }
        while ($slot['band'] > 0 && $at <= $slot['band'] - 0.5 + 1e-4) {
            $slot['band']--;
        }
        $opens = $this->p['opens_above_f'] ?? INF;
        $slot['broken'] = $tip >= $opens - 1e-3 || $slot['broken'] && $tip > $opens - 60;

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $span = ($this->p['hot_f'] - $this->p['cold_f']) / self::STEPS;
        $levels = [(float) $this->p['cold_f'] + ((int) $slot['band'] + 1) * $span];
        if ($slot['band'] > 0) {
            $levels[] = (float) $this->p['cold_f'] + ((int) $slot['band'] - 0.5) * $span;
        }
        if (isset($this->p['opens_above_f'])) {
            $levels[] = $slot['broken'] ? $this->p['opens_above_f'] - 60 : $this->p['opens_above_f'];
        }

        return $now->crossing($this->p['of'], $levels);
    }
}
