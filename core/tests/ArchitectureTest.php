<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use PHPUnit\Framework\TestCase;

/** The walls: each room uses only the rooms before it, and only the library reads files. */
final class ArchitectureTest extends TestCase
{
    private const ORDER = [
        'Words',
        'Trade',
        'Circuit',
        'Parts',
        'Sequence',
        'Process',
        'Appliance',
        'Wiring',
        'Faults',
        'Meter',
        'Run',
        'Senses',
        'Instruments',
        'Acts',
        'Bench',
        'Remote',
        'Suspects',
        'Returning',
        'Marking',
        'Predicting',
        'WiringUp',
        'Building',
        'Explaining',
        'Ordering',
        'Commissioning',
        'Verbs',
    ];

    /** Documents and plain data as they come in and go out. */
    private const MOST_MAPS = 80;

    private const LONGEST = 120;

    private const LONGEST_FILE = 300;

    /** Elimination and routing, whose loops are one piece. */
    private const NUMERIC = ['Circuit/AcElimination.php', 'Circuit/Solution.php', 'Drawing/Router.php'];

    public function test_rooms_depend_only_on_those_before_them(): void
    {
        $wrong = [];
        $seen = 0;
        foreach ($this->files() as $file => $code) {
            $room = explode('/', $file)[0];
            $allowed =
                $room === 'Drawing'
                    ? ['Words', 'Appliance', 'Wiring', 'Drawing']
                    : (in_array($room, ['Building', 'Verbs'], true)
                        ? [...self::ORDER, 'Drawing']
                        : array_slice(self::ORDER, 0, (int) array_search($room, self::ORDER, true) + 1));
            self::assertContains($room, [...self::ORDER, 'Drawing'], "$room is not in the plan of the core");
            preg_match_all('/OddSpark\\\\(\w+)\\\\/', $code, $found);
            $seen += count($found[1]);
            foreach (array_unique($found[1]) as $used) {
                if (! in_array($used, $allowed, true)) {
                    $wrong[] = "$file uses $used";
                }
            }
        }
        self::assertGreaterThan(100, $seen, 'the search found nothing to judge');
        self::assertSame([], $wrong);
    }

    public function test_the_core_knows_no_web_no_clock_and_no_chance(): void
    {
        $wrong = [];
        foreach ($this->files() as $file => $code) {
            if (
                preg_match(
                    '/Illuminate|\b(time|microtime|hrtime|date|rand|mt_rand|random_int|uniqid|shuffle|array_rand)\s*\(/',
                    $code,
                    $m,
                )
            ) {
                $wrong[] = "$file: $m[0]";
            }
            $doors = [
                'Appliance/DocumentFile.php',
                'Appliance/Library.php',
                'Appliance/Schema.php',
                'Appliance/Stock.php',
                'Words/Words.php',
            ];
            $doors[] = 'Run/Processes.php'; // how many processors there are, and how much memory is free
            if (
                preg_match('/\b(file_get_contents|file_put_contents|fopen|is_file|glob)\s*\(/', $code) &&
                ! in_array($file, $doors, true)
            ) {
                $wrong[] = "$file touches files";
            }
        }
        self::assertSame([], $wrong);
    }

    public function test_what_a_kind_or_a_primitive_is_only_they_say(): void
    {
        $wrong = [];
        foreach ($this->files() as $file => $code) {
            if (in_array(explode('/', $file)[0], ['Parts', 'Process', 'Sequence', 'Appliance'], true)) {
                continue;
            }
            // one compared with a type, one asked for its family, a family by its name
            if (
                preg_match(
                    '/\[\'(type|family)\'\]( \?\? \'\'\))? [!=]==|in_array\([^,]*\[\'(type|family)\'\]|Family::(?!tryFrom|Own\b)\w+/',
                    $code,
                    $m,
                )
            ) {
                $wrong[] = "$file: $m[0]";
            }
        }
        self::assertSame([], $wrong);
    }

    public function test_maps_of_anything_stand_at_the_doors_only(): void
    {
        $maps = 0;
        foreach ($this->files() as $file => $code) {
            $maps += substr_count($code, 'array<string, mixed>');
        }
        self::assertLessThanOrEqual(self::MOST_MAPS, $maps, 'a shape, or a class, says what is in it');
    }

    public function test_files_are_short_enough_to_be_read(): void
    {
        $long = [];
        foreach ($this->files() as $file => $code) {
            if (substr_count($code, "\n") > self::LONGEST_FILE && ! in_array($file, self::NUMERIC, true)) {
                $long[] = $file;
            }
        }
        self::assertSame([], $long);
    }

    public function test_lines_are_short_enough_to_be_read(): void
    {
        $long = [];
        foreach ($this->files() as $file => $code) {
            foreach (explode("\n", $code) as $i => $line) {
                // a sentence or a pattern in one piece, and a type that has a name, may be longer
                $isOnePiece = preg_match('/^\s*(\* @phpstan-type |.*[\'"].{60,}[\'"])/', $line) === 1;
                if (mb_strlen($line) > self::LONGEST && ! $isOnePiece) {
                    $long[] = "$file:".($i + 1);
                }
            }
        }
        self::assertSame([], $long);
    }

    /** @return iterable<string, string> */
    private function files(): iterable
    {
        $root = realpath(__DIR__.'/../src');
        foreach (
            new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator((string) $root, \FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            if ($file->getExtension() === 'php') {
                yield substr($file->getPathname(), strlen((string) $root) + 1) => (string) file_get_contents(
                    $file->getPathname(),
                );
            }
        }
    }
}
