<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\Proves;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;

/**
 * A cad cell: a resistance that falls in the light of the flame. Slot: light.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class LightResistor extends Primitive implements Proves
{
    public const VARIES = true;

    public const MECHANICAL = ['stray'];

    /**
     * @param Figures $p between; of: burner; dark_ohm, lit_ohm; stray: sees other light; open; shorted_ohm
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [Wired::load(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [new Figure('dark_ohm', 'Ω'), new Figure('lit_ohm', 'Ω')];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        return ['light' => $this->p['stray'] ?? false];
    }

    public function electric(array $slot): string
    {
        return $slot['light'] ? '1' : '0';
    }

    public function stamp(array $slot, Values $values): void
    {
        $ohm = $this->p['shorted_ohm'] ?? ($slot['light'] ? $this->p['lit_ohm'] : $this->p['dark_ohm']);
        $values->resistor($this->f->branches[0], ($this->p['open'] ?? false) ? 0.0 : 1 / $ohm);
    }

    public function follows(): array
    {
        return [$this->p['of']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        return ['light' => ($this->p['stray'] ?? false) || $now->follow($this->p['of'], 'lit') === true];
    }
}
