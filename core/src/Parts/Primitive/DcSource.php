<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\RunsDown;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * A battery or other source of steady volts behind its inner resistance; the first terminal is plus.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class DcSource extends Primitive implements RunsDown
{
    public const LIVE = false;

    /** @param Figures $p volts, ohm, open */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [
            Wired::supply(
                $spec['between'][0],
                $spec['between'][1],
                (float) $spec['volts'],
                Words::say('parts.dc_source.its_battery'),
                'battery',
            ),
        ];
    }

    public static function figures(array $spec): array
    {
        return [new Figure('volts', 'V'), new Figure('ohm', 'Ω')];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function stamp(array $slot, Values $values): void
    {
        $y = ($this->p['open'] ?? false) ? 0.0 : 1 / $this->p['ohm'];
        $values->resistor($this->f->branches[0], $y);
        $values->source(
            $this->f->branches[0],
            $this->f->nodes['a'],
            $this->f->nodes['b'],
            0.0,
            0.0,
            $this->p['volts'] * $y,
        );
    }
}
