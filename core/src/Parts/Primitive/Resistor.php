<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/** A resistance between two terminals. */
final class Resistor extends Primitive
{
    public const LIVE = false;

    private readonly float $siemens;

    /** @param array<string, mixed> $p ohm; INF or 0 conductance when open */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->siemens = ($p['open'] ?? false) ? 0.0 : 1 / $p['ohm'];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $this->siemens);
    }
}
