<?php

declare(strict_types=1);

namespace OddSpark\Trade;

use OddSpark\Words\Words;

/**
 * Lists for spreadsheets (RFC 4180; what is read may have semicolons or tabs between its cells, as spreadsheets write
 * where the comma is the decimal sign). A quoted cell may go over several lines.
 */
final class Csv
{
    private const MARK = "\u{FEFF}";

    /**
     * @param iterable<list<string|int|float>> $rows
     * @return string a line for each row; a text that a spreadsheet would take for a formula is guarded
     */
    public static function write(iterable $rows): string
    {
        $memory = new \SplTempFileObject(-1);
        foreach ($rows as $row) {
            $cells = array_map(fn ($cell) => is_string($cell) ? SpreadsheetCell::guarded($cell) : $cell, $row);
            $memory->fputcsv($cells, ',', '"', '', "\r\n");
        }
        $length = (int) $memory->ftell();
        $memory->rewind();

        return $length === 0 ? '' : (string) $memory->fread($length);
    }

    /**
     * @return array<int, list<string>> the cells of each row that has any, by the line it begins on, from 1
     *
     * @throws \InvalidArgumentException a sentence, where it is no list
     */
    public static function read(string $csv): array
    {
        $csv = str_replace(["\r\n", "\r"], "\n", str_starts_with($csv, self::MARK) ? substr($csv, 3) : $csv);
        if (! mb_check_encoding($csv, 'UTF-8')) {
            throw new \InvalidArgumentException('The letters of this list cannot be read. Save it as CSV, in UTF-8.');
        }
        $memory = new \SplTempFileObject(-1);
        $memory->fwrite($csv);
        $memory->rewind();
        $separator = self::separator((string) strtok($csv, "\n"));
        $rows = [];
        $line = 1;
        $from = 0;
        while (! $memory->eof() && ($cells = $memory->fgetcsv($separator, '"', '')) !== false) {
            $to = (int) $memory->ftell();
            $cells = array_map(fn (?string $cell) => SpreadsheetCell::read(trim((string) $cell)), $cells);
            if (implode('', $cells) !== '') {
                $rows[$line] = $cells;
            }
            $line += substr_count($csv, "\n", $from, $to - $from);
            $from = $to;
        }

        return $rows;
    }

    /**
     * The rows of a list whose first line names its columns, in any order.
     *
     * @param list<string> $columns that are known
     * @param list<string> $needed of them
     * @param string $of what a row is, in the plural
     * @return array<int, array<string, string>> by the line that each begins on
     *
     * @throws \InvalidArgumentException a sentence
     */
    public static function named(string $csv, array $columns, array $needed, int $most, string $of): array
    {
        $rows = self::read($csv);
        $first = array_key_first($rows) ?? 0;
        $head = array_map(mb_strtolower(...), $rows[$first] ?? []);
        unset($rows[$first]);
        $known = Words::say('trade.csv.known_are', ['columns' => implode(', ', $columns)]);
        foreach ($needed as $column) {
            in_array($column, $head, true) || throw new \InvalidArgumentException(
                "The first line must name the columns; \"$column\" is not among them. $known",
            );
        }
        foreach (array_filter($head, fn (string $column): bool => $column !== '') as $column) {
            in_array($column, $columns, true) ||
                throw new \InvalidArgumentException("There is no column \"$column\". $known");
            count(array_keys($head, $column, true)) === 1 ||
                throw new \InvalidArgumentException("The column \"$column\" is there twice.");
        }
        $named = [];
        foreach ($rows as $line => $cells) {
            if (implode('', array_slice($cells, count($head))) !== '') {
                throw new \InvalidArgumentException(
                    sprintf('Line %d has %d cells, but the list has %d columns.', $line, count($cells), count($head)),
                );
            }
            $named[$line] = array_combine($head, array_pad(array_slice($cells, 0, count($head)), count($head), ''));
        }
        if (count($named) > $most) {
            throw new \InvalidArgumentException(
                sprintf('The list has %d %s; at most %d are taken.', count($named), $of, $most),
            );
        }

        return $named;
    }

    private static function separator(string $head): string
    {
        $counts = array_map(fn (string $sign) => substr_count($head, $sign), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
