<?php

namespace App\Work;

use App\Models\Attempt;
use OddSpark\Commissioning\RowJudged;
use OddSpark\Commissioning\Sheet;

/** A commissioning sheet gone over: a row for each figure and each safety, with where it was written down. */
class CommissioningDebrief
{
    /** @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} gives it */
    public static function of(Sheet $sheet, Attempt $attempt): array
    {
        $at = $attempt->entries->map(fn ($entry): float => $entry->tick / 1000)->values()->all();
        $end = $at === [] ? 0.0 : max($at);

        return DebriefRow::debrief(array_map(fn (RowJudged $r): array => DebriefRow::of(
            $r->entry === null ? $end : $at[$r->entry] ?? $end,
            $r->title,
            ['act' => 'look'],
            $r->share,
            $r->isRight() ? [] : [$r->why],
        ), $sheet->judged));
    }
}
