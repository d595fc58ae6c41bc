<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/**
 * Whether a figure that was said is what a meter shows. A person says what a circuit is fed with, "24", where the meter
 * shows 26.7: so a seventh either way is the same (a rule of this product, no source), and more where the meter itself
 * is not so sure.
 */
final class Closeness
{
    /** Less than this nobody goes by. */
    public const NOTHING_V = 1.0;

    private const NOTHING_MV = 20.0;

    private const SHARE = 0.15;

    private const STRAY = 1.5;

    /** Polarity is not asked: which lead is red is said with the reading. */
    public static function isNear(Mode $mode, float $said, float $exact): bool
    {
        [$said, $exact] = [abs($said), abs($exact)];
        if (is_infinite($said) || is_infinite($exact)) {
            return $said === $exact;
        }
        if (is_nan($exact)) {
            return false;
        }
        $nothing = self::nothing($mode);
        if ($said < $nothing || $exact < $nothing) {
            return $said < $nothing && $exact < $nothing;
        }

        return abs($said - $exact) <= max(self::SHARE * $exact, Meter::tolerance($mode, $exact));
    }

    /** Of what a cable couples nobody can say how much: nothing is right, and anything about as little as it is. */
    public static function isAsStray(Mode $mode, float $said, float $exact): bool
    {
        return abs($said) <= max(self::nothing($mode), self::STRAY * abs($exact));
    }

    /** Whether it is no more than nothing to a person. */
    public static function isNothing(Mode $mode, float $figure): bool
    {
        return abs($figure) < self::nothing($mode);
    }

    private static function nothing(Mode $mode): float
    {
        return $mode === Mode::Millivolts ? self::NOTHING_MV : self::NOTHING_V;
    }
}
