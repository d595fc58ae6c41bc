<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Danger;
use OddSpark\Words\Words;

/** How work other than tracing was done: what was unsafe of it. */
final class Care
{
    /** What an unsafe act takes, and a slight one. Rules of this product, no source. */
    private const GRAVE = 0.5;

    private const SLIGHT = 0.2;

    /**
     * @param list<string> $dangers ids of {@see Danger}
     * @param float $share of the work that is done: of what was not done nothing was unsafe
     */
    public static function line(array $dangers, float $share): Line
    {
        $lost = 0.0;
        $why = [];
        foreach ($dangers as $danger) {
            $lost += in_array($danger, Danger::SLIGHT, true) ? self::SLIGHT : self::GRAVE;
            $why[] = Line::say(Danger::text($danger));
        }

        return new Line('care', max(0.0, 1 - $lost) * $share, $why === []
            ? [Line::say(Words::say('marking.care.nothing_unsafe'))]
            : $why);
    }

    /** @param list<string> $dangers */
    public static function isGrave(array $dangers): bool
    {
        return array_diff($dangers, Danger::SLIGHT) !== [];
    }
}
