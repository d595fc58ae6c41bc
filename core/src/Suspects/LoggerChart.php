<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Instruments\Logger;
use OddSpark\Meter\Mode;

/**
 * Whether two charts of a logger can be of the same appliance.
 *
 * Hours on, two of the same appliance are no longer in step: each trial takes a little longer in the one than in the
 * other. So what is compared is not when something was, but how long it was at the longest.
 *
 * @phpstan-type Stretches list<array{int, int, mixed}>
 */
final class LoggerChart
{
    /** What stood this long at the longest, ms, is not missed. Ours. */
    private const LASTS = 30_000;

    /** As many times as long is another chart. Ours. */
    private const TIMES = 3.0;

    /** Share of a figure that two of the same appliance may differ by. Ours. */
    private const SHARE = 0.15;

    /** And this much at least, in units of the mode. Ours. */
    private const FLOOR = ['vac' => 1.5, 'vdc' => 1.0, 'mvdc' => 40.0];

    /** Share of a chart at its end that is not waited for: what begins then may begin after the end in the other. */
    private const END = 0.15;

    /**
     * @param Stretches $one
     * @param Stretches $other
     */
    public static function agree(string $channel, array $one, array $other): bool
    {
        [$mode] = Logger::named($channel);

        return self::shows($mode, $one, $other) && self::shows($mode, $other, $one);
    }

    /**
     * Whether what stood long in the one did so in the other.
     *
     * @param Stretches $these
     * @param Stretches $those
     */
    private static function shows(Mode $mode, array $these, array $those): bool
    {
        if ($these === []) {
            return true;
        }
        $first = $these[0][0];
        $last = $these[count($these) - 1][1];
        $until = $last - self::END * ($last - $first);
        foreach (array_unique(array_column($these, 2)) as $figures) {
            $lasted = self::longest($mode, $these, $figures, $until);
            if ($lasted >= self::LASTS && self::longest($mode, $those, $figures) < $lasted / self::TIMES) {
                return false;
            }
        }

        return true;
    }

    /**
     * The longest that figures like these stood without a break, ms.
     *
     * @param Stretches $stretches
     * @param float $begun only what had begun by then
     */
    private static function longest(Mode $mode, array $stretches, string $figures, float $begun = INF): int
    {
        $longest = 0;
        $since = null;
        foreach ($stretches as [$from, $to, $value]) {
            if (! self::alike($mode, $figures, (string) $value)) {
                $since = null;
            } elseif ($since !== null || $from <= $begun) {
                $since ??= $from;
                $longest = max($longest, $to - $since);
            }
        }

        return $longest;
    }

    private static function alike(Mode $mode, string $one, string $other): bool
    {
        $others = explode(' ', $other);
        foreach (explode(' ', $one) as $i => $figure) {
            [$a, $b] = [(float) $figure, (float) $others[$i]];
            if (abs($a - $b) > max(self::FLOOR[$mode->value], self::SHARE * max(abs($a), abs($b)))) {
                return false;
            }
        }

        return true;
    }
}
