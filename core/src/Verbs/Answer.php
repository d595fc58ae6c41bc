<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** What a verb answers: as plain data, and as text. */
final readonly class Answer
{
    /** @param array<string, mixed> $data */
    public function __construct(public array $data, public string $text) {}

    /**
     * Rows in columns as wide as they need be.
     *
     * @param list<list<string>> $rows
     */
    public static function table(array $rows): string
    {
        $widths = [];
        foreach ($rows as $row) {
            foreach ($row as $i => $cell) {
                $widths[$i] = max($widths[$i] ?? 0, mb_strlen($cell));
            }
        }
        $text = '';
        foreach ($rows as $row) {
            foreach ($row as $i => $cell) {
                $text .= $cell.str_repeat(' ', $widths[$i] - mb_strlen($cell) + 2);
            }
            $text = rtrim($text)."\n";
        }

        return $text;
    }
}
