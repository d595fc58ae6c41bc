<?php

namespace App\Records;

use App\Models\Attempt;
use Illuminate\Support\Collection;
use OddSpark\Marking\Rules;
use OddSpark\Trade\Csv;

/** Marks as CSV, a line for each attempt: for a gradebook or a spreadsheet. */
class MarkList
{
    /**
     * @param Collection<int, Attempt> $attempts with user and assignment
     */
    public static function csv(Collection $attempts): string
    {
        $head = [
            'job',
            'kind',
            'trainee',
            'handed back',
            'house rules',
            'version',
            'total',
            'pass mark',
            'passed',
            'conclusion',
            'hints',
            ...Rules::LINES,
            'set by hand',
        ];
        $rows = [];
        foreach ($attempts as $attempt) {
            $mark = $attempt->mark;
            $lines = array_column($mark['lines'] ?? [], null, 'id');
            $rows[] = [
                $attempt->assignment->title,
                $attempt->assignment->kind->value,
                $attempt->user->name,
                $attempt->handed_back_at?->toIso8601String() ?? '',
                $mark['rules']['name'] ?? '',
                $mark['rules']['version'] ?? '',
                $mark['total'] ?? '',
                $mark['rules']['pass_mark'] ?? '',
                $mark === null ? '' : ($mark['passed'] ? 'yes' : 'no'),
                $mark['verdict'] ?? '',
                array_sum($mark['hints']['taken'] ?? []),
                ...array_map(fn (string $id) => $lines[$id]['points'] ?? '', Rules::LINES),
                implode(' ', array_keys(array_filter($lines, fn (array $l) => isset($l['override'])))),
            ];
        }

        return Csv::write([$head, ...$rows]);
    }
}
