<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Appliance\ShapeWriter;
use OddSpark\Building\Difference;
use OddSpark\Building\Document;
use OddSpark\Building\Edits;
use OddSpark\Building\PrimitivesPage;
use OddSpark\Tests\KeysWriter;
use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Nets;
use PHPUnit\Framework\TestCase;

/** The examples of the documents under docs/ are run, so that they stay true. */
final class DocsTest extends TestCase
{
    public function test_the_page_of_equipment_names_every_model_and_every_call(): void
    {
        $page = (string) file_get_contents(__DIR__.'/../../../docs/equipment.md');
        foreach ((new Library())->names() as $name) {
            self::assertStringContainsString("| `$name` |", $page);
        }
        foreach (glob(__DIR__.'/../calls/*.json') ?: [] as $call) {
            self::assertMatchesRegularExpression('/[ ,]'.basename($call, '.json').'[ ,]/', $page);
        }
    }

    public function test_the_edits_and_the_wire_list_of_the_page_on_making_a_model(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = array_reduce(
            json_decode(self::block('building.md', 'json edits'), true, 32, JSON_THROW_ON_ERROR),
            $edits->apply(...),
            Document::blank('lamp', 'Lamp', 'NA'),
        );
        $circuits = Circuits::of(new Nets($library->draft($d)));
        self::assertSame([], $circuits['open']);
        self::assertSame(
            'From Panel L through Service switch to Pump, home at Panel N.',
            $circuits['circuits'][0]['loads'][0]['words'],
        );
        self::assertSame('A pump behind a switch.', $d['notes']);
        $after = $edits->apply($d, ['do' => 'wire_list', 'csv' => self::block('building.md', 'csv wires')]);
        self::assertContains('Orange wire Panel L to Pump L drawn.', Difference::words($d, $after));
        self::assertSame([14, 20.0], [$after['wires'][1]['awg'], (float) $after['wires'][1]['feet']]);
    }

    public function test_every_edit_has_its_line_and_every_column_of_a_wire_list_is_named(): void
    {
        $page = (string) file_get_contents(__DIR__.'/../../../docs/building.md');
        foreach (array_keys(Edits::EDITS) as $name) {
            self::assertMatchesRegularExpression('/^\|[^|]*`'.$name.'`/m', $page, $name);
        }
        foreach (\OddSpark\Building\WireList::COLUMNS as $column) {
            self::assertStringContainsString("`$column`", $page);
        }
    }

    public function test_the_examples_of_the_verbs_answer(): void
    {
        $root = __DIR__.'/../../..';
        preg_match_all('#^\./spark (.+)$#m', self::block('verbs.md', ''), $lines);
        self::assertGreaterThan(3, count($lines[1]));
        foreach ($lines[1] as $line) {
            if (str_starts_with($line, 'debrief') || str_starts_with($line, 'mark')) {
                continue; // the same verbs stand, with their results, in the tests of marking
            }
            exec('cd '.escapeshellarg($root)." && php -d memory_limit=1G core/bin/verbs.php $line 2>&1", $out, $status);
            self::assertSame(0, $status, "$line: ".implode("\n", array_slice($out, -3)));
        }
    }

    public function test_the_page_of_primitives_is_what_they_say(): void
    {
        $page = (string) file_get_contents(__DIR__.'/../../../docs/primitives.md');
        self::assertSame(PrimitivesPage::markdown(), $page, 'write it anew: php core/bin/schemas.php');
        foreach (array_keys(Primitives::TYPES) as $type) {
            self::assertMatchesRegularExpression("/^### $type\n\n\S/m", $page, "$type says nothing of itself");
        }
    }

    public function test_what_is_written_from_schemas_and_edits_is_as_they_are_now(): void
    {
        $core = __DIR__.'/../..';
        self::assertStringEqualsFile("$core/src/Appliance/Shapes.php", ShapeWriter::file(), 'php core/bin/schemas.php');
        self::assertStringEqualsFile(
            "$core/src/Appliance/KnownKeys.php",
            KeysWriter::file(),
            'php core/bin/schemas.php',
        );
        self::assertEquals(
            json_decode((string) json_encode(Edits::schema()), true),
            json_decode((string) file_get_contents("$core/schema/edits.json"), true),
            'write it anew: php core/bin/schemas.php',
        );
    }

    /** The first fenced block of a page with some words behind its fence. */
    private static function block(string $page, string $words): string
    {
        $text = (string) file_get_contents(__DIR__."/../../../docs/$page");
        self::assertSame(
            1,
            preg_match('/^```'.preg_quote($words, '/').'\n(.*?)^```$/ms', $text, $m),
            "$page has no block of $words",
        );

        return $m[1];
    }
}
