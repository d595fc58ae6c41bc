<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

/** A lane of a chart drawn wrongly, as it is drawn by whoever does not know the sequence. */
final class ChartMistake
{
    /** By less nobody sees that a lane is another, ms. */
    private const SEEN = 8000;

    /**
     * Too early, too late, never, or without an end: by the seed the first that anybody would see.
     *
     * @param list<array{int, int}> $is ms
     * @return list<array{int, int}>|null null where there is none
     */
    public static function of(array $is, Course $course, int $seed): ?array
    {
        if ($is === [] || count($is) > 1) {
            return null; // what comes and goes is read as it is
        }
        [$from, $to] = $is[0];
        $steps = array_filter(array_column($course->steps, 'at'), fn (int $at): bool => $at < $course->ends);
        $earlier = array_filter($steps, fn (int $at): bool => $at <= $from - self::SEEN);
        $later = array_filter($steps, fn (int $at): bool => $at >= $from + self::SEEN && $at <= $to - self::SEEN);
        $ways = [
            'early' => $earlier === [] ? null : [[min($earlier), $to]],
            'late' => $later === [] ? null : [[max($later), $to]],
            'endless' => $course->over() - $to >= 2 * self::SEEN ? [[$from, $course->over()]] : null,
            'short' => $to - $from >= 4 * self::SEEN ? [[$from, $from + intdiv($to - $from, 3)]] : null,
        ];

        return array_values(array_filter((new Choices($seed))->some($ways)))[0] ?? null;
    }
}
