<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/**
 * A text as a cell of a list for spreadsheets. What a spreadsheet would take for a formula has an apostrophe put before
 * it (common practice; it is what a person types to have a text taken as it is), and loses it again when it is read
 * back.
 */
final class SpreadsheetCell
{
    private const FORMULA = '/^\s*[=+\-@\t\r\n|%\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}]/u';

    public static function guarded(string $text): string
    {
        return (preg_match(self::FORMULA, $text) === 1 && ! is_numeric($text)) || str_starts_with($text, "'")
            ? "'$text"
            : $text;
    }

    /** As it was before {@see guarded}. */
    public static function read(string $cell): string
    {
        $text = substr($cell, 1);

        return str_starts_with($cell, "'") && self::guarded($text) === $cell ? $text : $cell;
    }
}
