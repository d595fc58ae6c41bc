<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * What every conductor has to earth: a few picofarads, and next to no leakage. So nothing floats
 * altogether, and a meter between a live place and a conductor that is loose at both ends shows a
 * ghost and not the full volts.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Stray extends Primitive
{
    public const LIVE = false;

    /** @param Figures $p places: list of them; picofarads: of each; leak_ohm, of each */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function joins(array $spec): array
    {
        return ['branches' => array_map(fn (string $place) => [$place, 'EARTH'], $spec['places'])];
    }

    public function stamp(array $slot, Values $values): void
    {
        foreach ($this->f->branches as $i => $branch) {
            $susceptance = $this->f->omega * $this->p['picofarads'][$i] * 1e-12;
            $values->capacitor($branch, $susceptance, 1 / $this->p['leak_ohm']);
        }
    }
}
