<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** docs/modes.md is what the models show now: two sections with every run, all of them in `./spark check`. */
final class ModesTest extends TestCase
{
    private const ALWAYS = ['furnace-standing-pilot', 'boiler-simple-230'];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (getenv('SPARK_ALL_FAULTS') ? ModesTable::models() : self::ALWAYS as $model) {
            yield $model => [$model];
        }
    }

    #[DataProvider('models')]
    public function test_the_page_says_of_every_way_of_failing_what_it_shows(string $model): void
    {
        $page = (string) file_get_contents(__DIR__.'/../../../docs/modes.md');
        $section = implode("\n", ModesTable::section($model));
        self::assertStringContainsString(
            trim($section),
            $page,
            "write it anew and read it: php core/bin/modes.php $model",
        );
    }
}
