<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * A capacitance between two terminals, with what leaks through it.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Capacitor extends Primitive
{
    public const SCATTERS = ['microfarad'];

    public const LIVE = false;

    private readonly float $farad;

    private readonly float $leak;

    /** @param Figures $p microfarad, leak_ohm */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->farad = $p['microfarad'] * 1e-6;
        $this->leak = 1 / ($p['leak_ohm'] ?? 1e9);
    }

    public static function figures(array $spec): array
    {
        return [new Figure('microfarad', 'µF'), new Figure('leak_ohm', 'Ω')];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->capacitor($this->f->branches[0], $this->f->omega * $this->farad, $this->leak);
    }
}
