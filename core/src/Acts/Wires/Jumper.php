<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Run\BenchState;

/** A clip lead between two places, whichever way round. */
final class Jumper
{
    /** @param array{string, string} $jumper */
    public static function joins(array $jumper, string $a, string $b): bool
    {
        return $jumper === [$a, $b] || $jumper === [$b, $a];
    }

    public static function isThere(BenchState $state, string $a, string $b): bool
    {
        $all = [...$state->jumpers, ...$state->earlier];

        return array_filter($all, fn (array $j): bool => self::joins($j, $a, $b)) !== [];
    }
}
