<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Circuit\Solution;

/**
 * A non-contact tester: a tip that feels the alternating field about a conductor against the earth it is
 * held from. It lights on a conductor that is dead when a live one lies beside it, on a neutral that
 * has come off, and stays dark where two opposite legs lie side by side, or at 24 V. It proves
 * nothing dead.
 */
final class FieldTester
{
    /** Volts to earth from which it lights. Common practice, no source. */
    public const LIGHTS_V = 45.0;

    /** How much of a neighbour in the same cable the tip feels. From memory. */
    private const NEIGHBOUR = 0.5;

    /** @param list<int> $neighbours nodes of the conductors that lie beside it in its cable */
    public static function lights(Solution $s, int $node, array $neighbours): bool
    {
        [$re, $im] = $s->acPhasor($node, 0);
        foreach ($neighbours as $other) {
            [$x, $y] = $s->acPhasor($other, 0);
            $re += self::NEIGHBOUR * $x;
            $im += self::NEIGHBOUR * $y;
        }

        return hypot($re, $im) >= self::LIGHTS_V;
    }
}
