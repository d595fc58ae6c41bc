<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use OddSpark\Trade\SpreadsheetCell;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SpreadsheetCellTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function formulas(): iterable
    {
        foreach (
            ['=1+1', '+cmd', '-2+3', '@SUM(A1)', "\t=1", "\r=1", ' =1', '|x', '%0', "\u{FF1D}1+1", "'=1"] as $text
        ) {
            yield $text => [$text];
        }
    }

    #[DataProvider('formulas')]
    public function test_what_a_spreadsheet_would_compute_is_taken_as_text_and_read_back_as_it_was(string $text): void
    {
        $cell = SpreadsheetCell::guarded($text);
        self::assertSame("'$text", $cell);
        self::assertSame($text, SpreadsheetCell::read($cell));
    }

    public function test_other_texts_stay_as_they_are(): void
    {
        foreach (['', 'Limit a', '-5', '3.5', 'w01', "O'Hare"] as $text) {
            self::assertSame($text, SpreadsheetCell::guarded($text));
            self::assertSame($text, SpreadsheetCell::read($text));
        }
    }
}
