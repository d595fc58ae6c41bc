<?php

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** What the core's own test of its walls says of its code, for all other PHP: files and lines that can be read. */
class LengthsTest extends TestCase
{
    private const FOLDERS = ['app', 'bench', 'bootstrap', 'config', 'core/bin', 'core/tests', 'database', 'routes', 'tests'];

    private const LONGEST_LINE = 120;

    private const LONGEST_FILE = 300;

    /** Tables of facts, one a line. */
    private const TABLES = ['core/tests/Trade/facts.php'];

    public function test_files_and_lines_are_short_enough_to_be_read(): void
    {
        $long = [];
        $seen = 0;
        foreach ($this->files() as $file) {
            $seen++;
            $lines = explode("\n", (string) file_get_contents(dirname(__DIR__, 2)."/$file"));
            if (count($lines) - 1 > self::LONGEST_FILE) {
                $long[] = $file;
            }
            foreach ($lines as $i => $line) {
                // a sentence, a netlist or a pattern in one piece, and a type that has a name, may be longer
                $isOnePiece = preg_match('/^\s*(\* @phpstan-type |.*[\'"].{60,}[\'"])/', $line) === 1;
                if (mb_strlen($line) > self::LONGEST_LINE && ! $isOnePiece) {
                    $long[] = "$file:".($i + 1);
                }
            }
        }
        $this->assertGreaterThan(300, $seen);
        $this->assertSame([], $long);
    }

    /** @return iterable<string> */
    private function files(): iterable
    {
        $root = dirname(__DIR__, 2);
        foreach (self::FOLDERS as $folder) {
            $all = new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS),
            );
            foreach ($all as $file) {
                $name = substr((string) $file, strlen($root) + 1);
                $isOurs = ! str_contains($name, '/cache/') && ! in_array($name, self::TABLES, true);
                if (str_ends_with($name, '.php') && $isOurs) {
                    yield $name;
                }
            }
        }
    }
}
