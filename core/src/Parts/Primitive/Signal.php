<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * An output of a control that gives more than on and off: DC volts that go with a level in per cent, as 0 to 10 V. A
 * pulsed output is its mean, which is what a meter on DC shows of it. Slot: volts.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Signal extends Primitive
{
    public const DOES = 'signals modulates';

    public const VARIES = true;

    public const AT_ONCE = true;

    public const MECHANICAL = ['dead', 'volts', 'zero_v'];

    /**
     * @param Figures $p follows, key: where the level stands, per cent; volts at a hundred; zero_v at nought;
     *     ohm behind it; dead
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [
            Wired::supply(
                $spec['between'][0],
                $spec['between'][1],
                (float) $spec['volts'],
                Words::say('parts.signal.its_signal'),
                'sensing',
            ),
        ];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('volts', 'V', 0.0, 50.0),
            new Figure('ohm', 'Ω', 1.0, 1e6),
            new Figure('zero_v', 'V', 0.0, 50.0),
        ];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault(
                'signal-dead',
                Words::say('parts.signal.its_signal_stays_at_nought'),
                ['dead' => true],
                0.4,
            ),
        ];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        return ['volts' => 0.0];
    }

    public function follows(): array
    {
        return [$this->p['follows']];
    }

    public function electric(array $slot): string
    {
        return (string) $slot['volts'];
    }

    public function stamp(array $slot, Values $values): void
    {
        $y = 1 / $this->p['ohm'];
        $values->resistor($this->f->branches[0], $y);
        ['a' => $a, 'b' => $b] = $this->f->nodes;
        $values->source($this->f->branches[0], $a, $b, 0.0, 0.0, $slot['volts'] * $y);
    }

    public function react(array $slot, Surroundings $now): array
    {
        $level = $now->follow($this->p['follows'], ...explode('.', $this->p['key']));
        $zero = (float) ($this->p['zero_v'] ?? 0.0);

        return [
            'volts' => $level === null || ($this->p['dead'] ?? false)
                ? 0.0
                : round($zero + ($level / 100) * ($this->p['volts'] - $zero), 3),
        ];
    }
}
