<?php

namespace App\Records;

use App\Models\Attempt;
use Illuminate\Support\Collection;
use OddSpark\Marking\Rules;
use OddSpark\Trade\SpreadsheetCell;

/** Marks as CSV, a line for each attempt: for a gradebook or a spreadsheet. */
class MarkList
{
    /**
     * @param Collection<int, Attempt> $attempts with user and assignment
     */
    public static function csv(Collection $attempts): string
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new \RuntimeException('There is no room for a list of marks.');
        }
        self::line($file, [
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
            ...array_keys(Rules::LINES),
            'set by hand',
        ]);
        foreach ($attempts as $attempt) {
            $mark = $attempt->mark;
            $lines = array_column($mark['lines'] ?? [], null, 'id');
            self::line($file, [
                $attempt->assignment->title,
                $attempt->assignment->kind,
                $attempt->user->name,
                $attempt->handed_back_at?->toIso8601String() ?? '',
                $mark['rules']['name'] ?? '',
                $mark['rules']['version'] ?? '',
                $mark['total'] ?? '',
                $mark['rules']['pass_mark'] ?? '',
                $mark === null ? '' : ($mark['passed'] ? 'yes' : 'no'),
                $mark['verdict'] ?? '',
                array_sum($mark['hints']['taken'] ?? []),
                ...array_map(fn (string $id) => $lines[$id]['points'] ?? '', array_keys(Rules::LINES)),
                implode(' ', array_keys(array_filter($lines, fn (array $l) => isset($l['override'])))),
            ]);
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * @param resource $file
     * @param list<string|int|float> $cells
     */
    private static function line($file, array $cells): void
    {
        fputcsv(
            $file,
            array_map(fn (string|int|float $cell) => is_string($cell) ? SpreadsheetCell::guarded($cell) : $cell, $cells),
            ',',
            '"',
            '',
            "\r\n",
        );
    }
}
