<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

/**
 * How hard each fault of a model is to find for a perfect hand: from its way down the tree.
 *
 * A point for each question, half of one for each look-alike up to four, one for each answer that stands only for some
 * seconds or has to be waited for by the clock, and one for each quarter of an hour of labour. Ours, no source; it
 * orders
 * jobs, and measures nothing else.
 */
final class Difficulty
{
    /** Points up to which a job is of each grade; above the last it is of grade 5. */
    private const GRADES = [3.0, 5.0, 7.5, 10.0];

    /**
     * @param list<array{Question, string}> $path of {@see Tree::paths}
     * @return array{grade: int, points: float, questions: int, windows: int, minutes: float, look_alikes: int}
     */
    public static function of(array $path, int $lookAlikes): array
    {
        $windows = $minutes = 0;
        foreach ($path as [$question]) {
            $windows += in_array($question->kind, ['most', 'first', 'last'], true) ? 1 : 0;
            $minutes += $question->minutes;
        }
        $points = count($path) + 0.5 * min(4, $lookAlikes) + $windows + $minutes / 15;
        $grade = 1;
        foreach (self::GRADES as $up) {
            $grade += $points > $up ? 1 : 0;
        }

        return [
            'grade' => $grade,
            'points' => round($points, 2),
            'questions' => count($path),
            'windows' => $windows,
            'minutes' => round($minutes, 1),
            'look_alikes' => $lookAlikes,
        ];
    }
}
