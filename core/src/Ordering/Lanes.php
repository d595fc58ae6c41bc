<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\WiringUp\Track;

/**
 * A chart of one call: a lane for each thing, with when it is on.
 *
 * @phpstan-import-type Lane from Item
 */
final class Lanes
{
    /** @return list<Lane> ms; those that always go together are one lane */
    public static function of(Course $course, Track $track): array
    {
        $together = [];
        foreach ($course->counting() as $id) {
            $stretches = self::stretches($course, $track, $id);
            $key = (string) json_encode($stretches);
            $together[$key] ??= ['ids' => [], 'stretches' => $stretches];
            $together[$key]['ids'][] = $id;
        }
        $lanes = array_map(fn (array $lane): array => [
            'id' => $lane['ids'][0],
            'title' => Step::names($lane['ids'], $course->loads),
            'stretches' => $lane['stretches'],
        ], array_values($together));
        $first = fn (array $lane): float => $lane['stretches'][0][0] ?? INF;
        usort($lanes, fn (array $x, array $y): int => $first($x) <=> $first($y));

        return $lanes;
    }

    /** @return list<array{int, int}> */
    private static function stretches(Course $course, Track $track, string $id): array
    {
        $stretches = [];
        foreach ($track->of($id) as [$from, $to, $how]) {
            if ($course->on([$id => $how]) === []) {
                continue;
            }
            $last = count($stretches) - 1;
            if ($last >= 0 && $stretches[$last][1] === $from) {
                $stretches[$last][1] = $to;
            } else {
                $stretches[] = [$from, $to];
            }
        }

        return $stretches;
    }
}
