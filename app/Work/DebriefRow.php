<?php

namespace App\Work;

/** Rows of debriefs of work in which nothing is measured. */
final class DebriefRow
{
    /**
     * @param array<string, mixed> $done the act by which it is looked at
     * @param float $share 0 to 1
     * @param list<string> $flaws
     * @param list<string> $dangers
     * @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} has it
     */
    public static function of(
        float $at,
        string $text,
        array $done,
        float $share,
        array $flaws,
        array $dangers = [],
    ): array {
        return [
            'at_s' => $at, 'text' => $text, 'act' => $done['act'], 'done' => ['at_s' => $at] + $done,
            'before' => 0, 'after' => 0, 'bits_before' => 0, 'bits_after' => 0, 'gained' => 0, 'watched' => 0,
            'worth' => 0, 'share' => round($share, 3), 'left' => [], 'families' => [], 'best' => [],
            'flaws' => array_values(array_unique($flaws)), 'dangers' => $dangers,
        ];
    }

    /**
     * @param list<array<string, mixed>> $rows
     * @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} gives it
     */
    public static function debrief(array $rows): array
    {
        return [
            'entries' => $rows, 'won' => [], 'lost' => [], 'same' => [], 'report' => [], 'entered' => [], 'bits' => 0,
        ];
    }
}
