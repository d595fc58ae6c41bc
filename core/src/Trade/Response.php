<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/**
 * A quantity that settles: x(t) = rest + Σ aᵢ·exp(−t/τᵢ), t in seconds from its anchor.
 *
 * First-order elements in cascade stay within this form, so that nothing is stepped through time:
 * values are exact, and the first crossing of a level is found between the zeros of the
 * derivative, so that a pair of crossings close together is not missed. Kept as a plain array
 * [anchor tick, rest, [[a, τ s], …]], since it is part of the state of a run.
 *
 * @phpstan-type Shape array{int, float, list<array{float, float}>}
 */
final class Response
{
    /** What settles within a tick is there at the next, s. */
    private const LEAST_TAU = 1 / Units::TICKS_PER_SECOND;

    /** @return array{int, float, list<array{float, float}>} */
    public static function still(int $tick, float $value): array
    {
        return [$tick, $value, []];
    }

    /**
     * From a value towards a target with one time constant.
     *
     * @return array{int, float, list<array{float, float}>}
     */
    public static function towards(int $tick, float $from, float $target, float $tau): array
    {
        return [$tick, $target, $from === $target ? [] : [[$from - $target, max($tau, self::LEAST_TAU)]]];
    }

    /**
     * A first-order element driven by another course: τ x′ = offset + gain·leader − x.
     *
     * @param array{int, float, list<array{float, float}>} $leader
     * @return array{int, float, list<array{float, float}>}
     */
    public static function behind(int $tick, float $from, array $leader, float $offset, float $gain, float $tau): array
    {
        $leader = self::anchored($leader, $tick);
        $tau = max($tau, self::LEAST_TAU);
        $rest = $offset + $gain * $leader[1];
        $terms = [];
        $own = $from - $rest;
        foreach ($leader[2] as [$a, $t]) {
            if (abs($t - $tau) < 1e-6 * $tau) {
                $t *= 1 + 1e-5; // equal time constants: t·exp(−t/τ), reached as a limit
            }
            $c = $gain * $a / (1 - $tau / $t);
            $terms[] = [$c, $t];
            $own -= $c;
        }
        $terms[] = [$own, $tau];

        return [$tick, $rest, $terms];
    }

    /**
     * The same course counted from another tick.
     *
     * @param array{int, float, list<array{float, float}>} $course
     * @return array{int, float, list<array{float, float}>}
     */
    public static function anchored(array $course, int $tick): array
    {
        $t = ($tick - $course[0]) / Units::TICKS_PER_SECOND;
        foreach ($course[2] as $i => [$a, $tau]) {
            $course[2][$i][0] = $a * exp(-$t / $tau);
        }
        $course[0] = $tick;

        return $course;
    }

    /** @param array{int, float, list<array{float, float}>} $course */
    public static function at(array $course, int $tick): float
    {
        $t = ($tick - $course[0]) / Units::TICKS_PER_SECOND;
        $x = $course[1];
        foreach ($course[2] as [$a, $tau]) {
            $x += $a * exp(-$t / $tau);
        }

        return $x;
    }

    /**
     * First tick after $after at which the course has reached or passed the level; null if never.
     *
     * @param array{int, float, list<array{float, float}>} $course
     */
    public static function crossing(array $course, float $level, int $after): ?int
    {
        if (count($course[2]) < 2) {
            // one exponential: the level lies between where it is and where it rests, or is never met
            if ($course[2] === []) {
                return null;
            }
            [[$a, $tau]] = $course[2];
            $left = $a * exp(-($after - $course[0]) / Units::TICKS_PER_SECOND / $tau);
            $gap = $level - $course[1];
            if ($left == 0.0 || $gap == 0.0 || $gap / $left <= 0.0 || $gap / $left >= 1.0) {
                return null;
            }

            return max($after + 1, $after + (int) ceil(-$tau * log($gap / $left) * Units::TICKS_PER_SECOND));
        }
        $c = self::anchored($course, $after);
        $terms = [];
        foreach ($c[2] as [$a, $tau]) {
            if ($a != 0.0) {
                $terms[] = [$a, 1 / $tau];
            }
        }
        if ($terms === []) {
            return null;
        }
        $value = self::sum($terms, 0.0) + $c[1] - $level;
        if ($value == 0.0) {
            return null; // on the level now: it was acted upon
        }
        $roots = self::zeros([[$c[1] - $level, 0.0], ...$terms]);
        if ($roots === []) {
            return null;
        }

        return max($after + 1, $after + (int) ceil($roots[0] * Units::TICKS_PER_SECOND));
    }

    /** @param list<array{float, float}> $terms amplitude and rate */
    private static function sum(array $terms, float $t): float
    {
        $x = 0.0;
        foreach ($terms as [$a, $rate]) {
            $x += $a * exp(-$rate * $t);
        }

        return $x;
    }

    /**
     * All zeros for t > 0 of Σ aᵢ·exp(−rᵢ t), ascending.
     *
     * Multiplied by exp(r t) of one term and differentiated, the sum loses that term and has a zero
     * between any two of this one's; so the zeros of the shorter sum fence in all of them.
     *
     * @param list<array{float, float}> $terms amplitude and rate
     * @return list<float>
     */
    private static function zeros(array $terms): array
    {
        $terms = array_values(array_filter($terms, fn ($t) => $t[0] != 0.0));
        $n = count($terms);
        if ($n < 2) {
            return [];
        }
        if ($n === 2) {
            [[$a, $ra], [$b, $rb]] = $terms;
            $q = -$b / $a;
            if ($q <= 0 || $ra === $rb) {
                return [];
            }
            $t = log($q) / ($rb - $ra);

            return $t > 0 ? [$t] : [];
        }
        [, $pivot] = $terms[0];
        $shorter = [];
        foreach (array_slice($terms, 1) as [$a, $rate]) {
            $shorter[] = [-$a * ($rate - $pivot), $rate - $pivot];
        }
        $fences = self::zeros($shorter);
        $rates = array_filter(array_map(fn ($t) => abs($t[1]), $terms));
        $fences[] = 60 / min($rates); // beyond it nothing moves any more
        $found = [];
        $low = 0.0;
        foreach ($fences as $high) {
            if ($high <= $low) {
                continue;
            }
            $a = self::sum($terms, $low);
            if (($a < 0) !== (self::sum($terms, $high) < 0) && $a != 0.0) {
                [$l, $h] = [$low, $high];
                for ($i = 0; $i < 80 && $h - $l > 1e-5; $i++) {
                    $m = ($l + $h) / 2;
                    if ((self::sum($terms, $m) < 0) === ($a < 0)) {
                        $l = $m;
                    } else {
                        $h = $m;
                    }
                }
                $found[] = $h;
            }
            $low = $high;
        }

        return $found;
    }
}
