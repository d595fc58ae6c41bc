<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Library;
use OddSpark\Building\Difference;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\WireList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lists, differences in words, drawings, the catalogue, and kinds of one's own. */
final class PapersTest extends TestCase
{
    public function test_a_difference_is_told_in_the_words_of_the_trade(): void
    {
        $library = new Library();
        $before = $library->document('furnace-standing-pilot');
        $after = array_reduce(
            [
                ['do' => 'label', 'part' => 'valve', 'label' => 'Main valve'],
                ['do' => 'move', 'parts' => ['blower'], 'by' => [14, 0]],
                ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'opens_at', 'value' => 180],
                ['do' => 'rewire', 'wire' => 'w02', 'colour' => 'red'],
                ['do' => 'land', 'wire' => 'w13', 'end' => 'b', 'on' => 'valve.TR'],
                ['do' => 'remove', 'wires' => ['w18']],
                ['do' => 'place', 'kind' => 'relay-24', 'at' => [600, 300]],
                ['do' => 'pipe', 'from' => 'exchanger.stack', 'to' => 'fan-limit.bulb'],
                ['do' => 'set', 'path' => '/process/level', 'value' => ['type' => 'still', 'value' => 1]],
            ],
            (new Edits($library))->apply(...),
            $before,
        );
        self::assertSame(
            [
                'Relay placed.',
                'Fan and limit: bulb opens at is now 180.',
                'Gas valve is now called Main valve.',
                'Blower moved.',
                'Green wire Transformer frame to Ground screw screw taken off.',
                'Black wire Breaker 15 A load to Service switch line: colour was black, is now red.',
                'White wire Thermostat W to Main valve TH: its end at Main valve TH is now on Main valve TR.',
                'Pipe from Heat exchanger stack to Fan and limit bulb joined.',
                'Process "level" added.',
            ],
            Difference::words($before, $after),
        );
        self::assertSame([], Difference::words($after, $after));
    }

    public function test_a_wire_list_goes_out_and_comes_in_the_same(): void
    {
        $library = new Library();
        foreach ($library->names() as $name) {
            $d = $library->document($name);
            $after = (new Edits($library))->apply($d, ['do' => 'wire_list', 'csv' => WireList::csv($d)]);
            self::assertEquals($d['wires'], $after['wires'], $name);
        }
    }

    public function test_a_list_from_a_spreadsheet_becomes_a_wiring(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = array_reduce(
            [
                ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'label' => 'Panel', 'id' => 'panel'],
                ['do' => 'place', 'kind' => 'breaker', 'at' => [40, 300], 'id' => 'brk', 'label' => 'Breaker'],
                ['do' => 'place', 'kind' => 'circulator', 'at' => [300, 300], 'id' => 'pump', 'label' => 'Pump'],
            ],
            $edits->apply(...),
            Document::blank('own', 'Own', 'NA'),
        );
        $after = $edits->apply($d, [
            'do' => 'wire_list',
            'csv' => "\u{FEFF}From;To;Colour;AWG;Feet\r\nPanel L;Breaker line;;14;2\r\n\r\nbreaker load;pump.L;red;16;8.5\r\n",
        ]);
        self::assertSame(
            [['panel.L', 'brk.line', 'black', 14], ['brk.load', 'pump.L', 'red', 16]],
            array_map(fn (array $w) => [$w['from'], $w['to'], $w['colour'], $w['awg']], $after['wires']),
        );
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function badLists(): iterable
    {
        yield 'no head' => ["a,b\nvalve.TH,valve.TR\n", ['"from" is not among them']];
        yield 'a column of nobody' => ["from,to,mood\n", ['There is no column "mood"']];
        yield 'three mistakes' => [
            "from,to,colour,awg\nvalve.TH,moon,red,18\nvalve.TR,transformer.X1,tartan,18\nvalve.TR,transformer.H1,red,thin\n",
            [
                'Line 2: there is no place called "moon"',
                'line 3: "tartan" is not a known wire color',
                'line 4: "awg" must be a number above zero, not "thin"',
                'Nothing was imported.',
            ],
        ];
        yield 'not UTF-8' => ["from,to\nvalve.TH,caf\xE9\n", ['cannot be read. Save it as CSV, in UTF-8']];
    }

    /** @param list<string> $says */
    #[DataProvider('badLists')]
    public function test_a_list_with_mistakes_is_refused_whole_with_every_line(string $csv, array $says): void
    {
        $library = new Library();
        try {
            (new Edits($library))->apply($library->document('furnace-standing-pilot'), [
                'do' => 'wire_list',
                'csv' => $csv,
            ]);
            self::fail('it was taken in');
        } catch (EditError $e) {
            foreach ($says as $words) {
                self::assertStringContainsString($words, $e->sentence);
            }
        }
    }

    public function test_a_tag_that_a_spreadsheet_would_compute_goes_out_as_text_and_comes_back_as_it_was(): void
    {
        $library = new Library();
        $d = (new Edits($library))->apply($library->document('furnace-standing-pilot'), [
            'do' => 'rewire',
            'wire' => 'w02',
            'tag' => '=HYPERLINK("x")',
        ]);
        $csv = WireList::csv($d);
        self::assertStringContainsString('"\'=HYPERLINK(""x"")"', $csv);
        self::assertEquals(
            $d['wires'],
            (new Edits($library))->apply($d, ['do' => 'wire_list', 'csv' => $csv])['wires'],
        );
    }

    /** RFC 4180: a quoted cell may hold line breaks, and the separator. */
    public function test_a_cell_over_several_lines_comes_back_and_a_mistake_after_it_is_told_by_its_line(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = $library->document('furnace-standing-pilot');
        [$first, $second] = array_slice($d['wires'], 0, 2);
        $csv = "\u{FEFF}id;from;to;tag\r\n{$first['id']};{$first['from']};{$first['to']};\"to the\r\nboard; red\"\r\n".
            "\r\n{$second['id']};{$second['from']};%s;\r\n";
        $after = $edits->apply($d, ['do' => 'wire_list', 'csv' => sprintf($csv, $second['to'])]);
        $tags = array_column($after['wires'], 'tag', 'id');
        self::assertSame("to the\nboard; red", $tags[$first['id']]);
        self::assertEquals(
            $after['wires'],
            $edits->apply($d, ['do' => 'wire_list', 'csv' => WireList::csv($after)])['wires'],
        );
        $this->expectExceptionObject(
            new EditError('/csv', 'Nothing was imported. Line 5: there is no place called "nowhere.x".'),
        );
        $edits->apply($d, ['do' => 'wire_list', 'csv' => sprintf($csv, 'nowhere.x')]);
    }

    public function test_a_list_whose_cells_are_not_its_columns_is_refused(): void
    {
        $edits = new Edits($library = new Library());
        $d = $library->document('furnace-standing-pilot');
        $said = [];
        foreach (["from,to,from\na.1,b.1,c.1", "from,to\na.1,b.1\na.1,b.1,red", "\n\n"] as $csv) {
            try {
                $edits->apply($d, ['do' => 'wire_list', 'csv' => $csv]);
                self::fail('taken in');
            } catch (EditError $e) {
                $said[] = $e->getMessage();
            }
        }
        self::assertSame('The column "from" is there twice.', $said[0]);
        self::assertSame('Line 3 has 3 cells, but the list has 2 columns.', $said[1]);
        self::assertStringStartsWith('The first line must name the columns;', $said[2]);
    }
}
