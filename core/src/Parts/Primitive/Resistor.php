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
 * A resistance between two terminals.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Resistor extends Primitive
{
    /** Ohms under which it is a joint to the wiring, and over which it carries nothing worth a path. */
    private const JOINT_OHM = 1.0;

    private const SENSING_OHM = 1.0e6;

    public const LIVE = false;

    private readonly float $siemens;

    /** @param Figures $p ohm; INF or 0 conductance when open */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->siemens = ($p['open'] ?? false) ? 0.0 : 1 / $p['ohm'];
    }

    public static function wiring(array $spec): array
    {
        return match (true) {
            $spec['ohm'] < self::JOINT_OHM => [Wired::joint(...$spec['between'])],
            $spec['ohm'] <= self::SENSING_OHM => [Wired::load(...$spec['between'])],
            default => [],
        };
    }

    public static function figures(array $spec): array
    {
        return [new Figure('ohm', 'Ω')];
    }

    public static function faults(array $spec): array
    {
        return [new NaturalFault('open', 'open', ['open' => true], 0.4)];
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
