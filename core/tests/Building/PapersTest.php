<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Building\Catalogue;
use OddSpark\Building\Difference;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\HealthyRun;
use OddSpark\Building\OwnKind;
use OddSpark\Building\Parameters;
use OddSpark\Building\Why;
use OddSpark\Building\WireList;
use OddSpark\Drawing\Board;
use OddSpark\Drawing\Sheet;
use OddSpark\Faults\FaultSet;
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

    public function test_board_and_ladder_are_drawn_as_svg_with_all_their_labels(): void
    {
        foreach (['furnace-80', 'mid-position-230'] as $name) {
            $model = (new Library())->model($name);
            foreach ([Sheet::board($model), Sheet::ladder($model)] as $i => $svg) {
                $xml = simplexml_load_string($svg);
                self::assertNotFalse($xml);
                self::assertStringContainsString('follow the maker', $svg);
                self::assertStringContainsString(
                    htmlspecialchars(
                        $i === 0
                            ? explode(' ', $model->parts()[array_key_first($model->parts())]->label)[0]
                            : 'Gas valve',
                    ),
                    $svg,
                );
            }
        }
    }

    public function test_kinds_say_what_else_they_answer_to_and_the_most_used_come_first(): void
    {
        $kinds = Catalogue::all(new Library());
        $words = array_column($kinds, 'words', 'kind');
        self::assertStringContainsString('opens on heat', $words['limit-switch']);
        self::assertStringContainsString('lwco', $words['water-cut-off']);
        self::assertCount(count((new Library())->kindNames()), $kinds);
        $used = array_column($kinds, 'used', 'kind');
        self::assertGreaterThan($used['ignition-transformer'], $used['transformer-120-24']);
        self::assertSame(max($used), $kinds[0]['used']);
    }

    public function test_figures_have_units_what_is_usual_and_how_far_they_go(): void
    {
        $by = array_column(
            Parameters::of(Kind::of('fan-limit', (new Library())->kind('fan-limit')), ['bulb' => ['opens_at' => 180]]),
            null,
            'label',
        );
        self::assertSame(
            ['°F', 200, 180, 20.0, 2000.0],
            [
                $by['Bulb: opens at']['unit'],
                $by['Bulb: opens at']['usual'],
                $by['Bulb: opens at']['value'],
                $by['Bulb: opens at']['least'],
                $by['Bulb: opens at']['most'],
            ],
        );
        self::assertSame(['auto', 'manual'], $by['Button: at']['choices']);
    }

    public function test_a_plug_opens_all_its_pins_and_a_strip_joins_pole_by_pole(): void
    {
        $library = new Library();
        $d = array_reduce(
            [
                ['do' => 'place', 'kind' => 'plug-4', 'at' => [560, 300], 'id' => 'plug', 'label' => 'Valve plug'],
                ['do' => 'place', 'kind' => 'terminal-strip', 'at' => [700, 300], 'id' => 'strip'],
                ['do' => 'remove', 'wires' => ['w13', 'w14']],
                ...array_map(fn (array $w) => ['do' => 'wire', 'from' => $w[0], 'to' => $w[1]], [
                    ['thermostat.W', 'strip.1'],
                    ['strip.1t', 'plug.1'],
                    ['plug.1t', 'valve.TH'],
                    ['valve.TR', 'plug.2t'],
                    ['plug.2', 'strip.2t'],
                    ['strip.2', 'transformer.X2'],
                ]),
            ],
            (new Edits($library))->apply(...),
            $library->document('furnace-standing-pilot'),
        );
        $on = fn (array $d): bool => (new HealthyRun(Compiler::compile($library->resolve($d)), 'cold', 60_000))->slot(
            'valve.coil',
        )['on'];
        self::assertTrue($on($d));
        $apart = (new Edits($library))->apply($d, [
            'do' => 'param',
            'part' => 'plug',
            'primitive' => 'halves',
            'key' => 'at',
            'value' => 'apart',
        ]);
        self::assertFalse($on($apart));
        $run = new HealthyRun(Compiler::compile($library->resolve($apart)), 'cold', 60_000);
        $why = (new Why($run))->of('valve.coil');
        self::assertStringContainsString('2 switches on its path are open', $why['text']);
        self::assertSame('Valve plug: halves is at "apart".', $why['because'][0]['because'][0]['text']);
        self::assertArrayHasKey('plug:pin-1-back', FaultSet::of($library->resolve($d))->faults);
    }

    public function test_a_kind_of_ones_own_with_a_table_runs_and_has_faults(): void
    {
        $library = new Library();
        $terminals = array_map(
            fn (string $t) => ['name' => $t, 'edge' => in_array($t, ['R', 'C', 'W', 'PS'], true) ? 'up' : 'down'],
            ['R', 'C', 'W', 'PS', 'L', 'N', 'M', 'I', 'V'],
        );
        $kind = (new OwnKind($library))->make([
            'name' => 'Sequencer',
            'title' => 'three-output sequencer',
            'terminals' => $terminals,
            'references' => ['C'],
            'primitives' => [
                'control' => [
                    'type' => 'control',
                    'table' => 'oil-primary',
                    'inputs' => [
                        'supply' => ['ac' => ['R', 'C'], 'on' => 17, 'off' => 13, 'after_ms' => 100],
                        'call' => ['ac' => ['W', 'C'], 'on' => 14, 'off' => 8, 'after_ms' => 300],
                        'flame' => ['ac' => ['PS', 'C'], 'on' => 14, 'off' => 8, 'after_ms' => 300],
                    ],
                ],
                'motor' => ['type' => 'contact', 'between' => ['L', 'M'], 'follows' => 'control', 'key' => 'out.motor'],
            ],
        ]);
        self::assertSame(
            ['call-input-open', 'control-dead', 'flame-input-open', 'motor-closed', 'motor-open', 'supply-input-open'],
            (function (array $m): array {
                sort($m);

                return $m;
            })(array_keys($kind['modes'])),
        );
        $d = array_reduce(
            [
                ['do' => 'place', 'kind' => 'supply', 'at' => [40, 600], 'id' => 'panel'],
                ['do' => 'place', 'kind' => 'transformer-120-24', 'at' => [300, 600], 'id' => 'tr'],
                ['do' => 'place', 'kind' => 'thermostat-mechanical', 'at' => [900, 600], 'id' => 'stat'],
                ['do' => 'place', 'kind' => 'circulator', 'at' => [900, 300], 'id' => 'pump'],
                ['do' => 'place', 'kind' => 'sequencer', 'at' => [500, 200], 'id' => 'seq', 'own' => $kind],
                ...array_map(fn (array $w) => ['do' => 'wire', 'from' => $w[0], 'to' => $w[1]], [
                    ['panel.L', 'tr.H1'],
                    ['panel.N', 'tr.H2'],
                    ['tr.X1', 'seq.R'],
                    ['tr.X2', 'seq.C'],
                    ['seq.R', 'stat.R'],
                    ['stat.W', 'seq.W'],
                    ['panel.L', 'seq.L'],
                    ['seq.M', 'pump.L'],
                    ['panel.N', 'pump.N'],
                ]),
                ['do' => 'set', 'path' => '/process/room', 'value' => ['type' => 'still', 'value' => 60]],
                ['do' => 'link', 'part' => 'stat', 'name' => 'room', 'to' => 'room'],
                [
                    'do' => 'set',
                    'path' => '/tape/-',
                    'value' => ['channel' => 'pump.sound', 'name' => 'Pump', 'tone' => 'water'],
                ],
                [
                    'do' => 'set',
                    'path' => '/household',
                    'value' => [
                        'rooms' => [['of' => 'room', 'wants' => 70, 'calls' => ['by' => 'stat.snap', 'key' => 'made']]],
                        'heat' => ['pump.sound' => ['runs']],
                        'cycle' => ['pump.sound' => ['runs']],
                    ],
                ],
                [
                    'do' => 'set',
                    'path' => '/visits/cold',
                    'value' => ['title' => 'Cold', 'notices_s' => 10, 'household' => [], 'arrives' => ['after_s' => 1]],
                ],
            ],
            (new Edits($library))->apply(...),
            Document::blank('own', 'Own', 'NA'),
        );
        $model = $library->resolve($d);
        $run = new HealthyRun(Compiler::compile($model), 'cold', 2000);
        self::assertTrue($run->slot('seq.motor')['closed'], 'it calls for its motor');
        self::assertArrayHasKey('seq:motor-open', FaultSet::of($model)->faults);
    }

    /** 250 parts, 400 wires, most of them short: no wire through a part, and hardly one upon another. */
    public function test_a_crowded_board_is_laid_out_round_its_parts_and_a_move_disturbs_only_its_own_wires(): void
    {
        $library = new Library();
        $d = Crowd::document($library);
        $board = Board::of($library->draft($d));
        $over = $through = 0;
        $taken = [];
        $ends = array_map(fn (array $w) => [$w['from'], $w['to']], array_column($board['wires'], null, 'id'));
        foreach ($board['wires'] as $wire) {
            foreach (array_slice($wire['points'], 1) as $i => [$x, $y]) {
                [$u, $v] = $wire['points'][$i];
                foreach ($board['parts'] as $p) {
                    $through +=
                        max($x, $u) > $p['x'] + 1 &&
                        min($x, $u) < $p['x'] + $p['w'] - 1 &&
                        max($y, $v) > $p['y'] + 1 &&
                        min($y, $v) < $p['y'] + $p['h'] - 1
                            ? 1
                            : 0;
                }
                for (
                    $at = $y === $v ? min($x, $u) : min($y, $v);
                    $at < ($y === $v ? max($x, $u) : max($y, $v));
                    $at += 7
                ) {
                    $cell = $y === $v ? "h$y:$at" : "v$x:$at";
                    $over +=
                        isset($taken[$cell]) &&
                        $taken[$cell] !== $wire['id'] &&
                        array_intersect($ends[$taken[$cell]], $ends[$wire['id']]) === []
                            ? 1
                            : 0;
                    $taken[$cell] ??= $wire['id'];
                }
            }
        }
        self::assertSame(0, $through);
        self::assertLessThanOrEqual(
            2,
            $over,
            'steps of 7 px, of some 40,000, on which two wires lie: where doors of terminals are hemmed in',
        );
        $moved = Board::of(
            $library->draft((new Edits($library))->apply($d, ['do' => 'move', 'parts' => ['p100'], 'by' => [14, 7]])),
            $board,
        );
        $changed = array_filter(
            $moved['wires'],
            fn (array $w) => $w != array_column($board['wires'], null, 'id')[$w['id']],
        );
        self::assertGreaterThan(0, count($changed));
        self::assertLessThan(40, count($changed));
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
    public function test_a_cell_over_several_lines_comes_back_as_it_was_and_a_mistake_after_it_is_told_by_its_line(): void
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
