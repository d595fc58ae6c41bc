<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/** An AC source from earth to a terminal through its impedance, as a current into that node. */
final class Source extends Primitive
{
    public const LIVE = false;

    /** @param array<string, mixed> $p volts, degrees, ohm, off; earth_ohm joins the other two conductors to earth */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function joins(array $spec): array
    {
        return ['branches' => [[$spec['hot'], 'EARTH'], [$spec['neutral'], 'EARTH'], [$spec['ground'], 'EARTH']]];
    }

    public function stamp(array $slot, Values $values): void
    {
        $off = $this->p['off'] ?? false;
        $y = 1 / $this->p['ohm'];
        $values->resistor($this->f->branches[0], $off ? 0.0 : $y);
        $values->resistor($this->f->branches[1], 1 / $this->p['neutral_ohm']);
        $values->resistor($this->f->branches[2], 1 / $this->p['ground_ohm']);
        $angle = deg2rad($this->p['degrees'] ?? 0);
        $amps = $off ? 0.0 : $this->p['volts'] * $y;
        $values->acSources[$this->f->nodes['hot']] = [$amps * cos($angle), $amps * sin($angle)];
    }
}
