<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Building\Catalogue;
use OddSpark\Building\Document;
use OddSpark\Building\Edits;
use OddSpark\Building\HealthyRun;
use OddSpark\Building\OwnKind;
use OddSpark\Building\Parameters;
use OddSpark\Building\Why;
use OddSpark\Drawing\Board;
use OddSpark\Drawing\Sheet;
use OddSpark\Faults\FaultSet;
use PHPUnit\Framework\TestCase;

/** What comes out of a model as drawings, and custom parts with their tables. */
final class DrawnPapersTest extends TestCase
{
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
}
