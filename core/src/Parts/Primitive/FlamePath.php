<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\Proves;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * The flame between rod and burner: conducts better one way than the other while the burner is lit.
 *
 * What current flows is computed by the circuit ({@see \OddSpark\Circuit\Solution}); here is only
 * how well it conducts. A film on the rod and distance from the flame add to the forward resistance;
 * cracked porcelain puts a resistance to the bracket beside it.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class FlamePath extends Primitive implements Proves
{
    public const SCATTERS = ['forward_ohm'];

    public const DOES = 'proves flame';

    public const VARIES = true;

    /** @param Figures $p burner: process id, forward_ohm, reverse_ohm, film_ohm, bracket_ohm */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [new Figure('forward_ohm', 'Ω', varies: true), new Figure('reverse_ohm', 'Ω')];
    }

    public static function joins(array $spec): array
    {
        return [
            'branches' => [[$spec['rod'], $spec['burner']], [$spec['rod'], $spec['burner']]],
            'flames' => [[$spec['rod'], $spec['burner']]],
        ];
    }

    public function electric(array $slot): string
    {
        return $slot['lit'] ? '1' : '0';
    }

    public function initial(): array
    {
        return ['lit' => false];
    }

    public function stamp(array $slot, Values $values): void
    {
        $forward = (float) $this->p['forward_ohm'] + (float) ($this->p['film_ohm'] ?? 0.0);
        // at DC too, so that a rod whose wire is lifted, with an ammeter in its place, hangs on something
        $values->resistor($this->f->branches[0], $slot['lit'] ? 1 / (2 * $forward) : 0.0);
        $values->resistor($this->f->branches[1], isset($this->p['bracket_ohm']) ? 1 / $this->p['bracket_ohm'] : 0.0);
        if ($slot['lit']) {
            $values->flames[$this->f->flames[0]] = [$forward, $this->p['reverse_ohm'], 1 / (2 * $forward)];
        } else {
            unset($values->flames[$this->f->flames[0]]);
        }
    }

    public function follows(): array
    {
        return [$this->p['lit_by']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        // a rod stands at the last burner: what counts is whether that one burns
        $at = $this->p['lit_by'];

        return ['lit' => ($now->follow($at, 'carried') ?? $now->follow($at, 'lit')) === true];
    }
}
