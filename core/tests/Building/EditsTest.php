<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use Eris\Generators;
use Eris\TestTrait;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\Included;
use OddSpark\Faults\FaultSet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EditsTest extends TestCase
{
    use TestTrait;

    private Library $library;

    private Edits $edits;

    protected function setUp(): void
    {
        $this->library = new Library();
        $this->edits = new Edits($this->library);
    }

    public function test_a_part_is_placed_named_moved_copied_and_taken_off(): void
    {
        $d = $this->done(
            Document::blank('own', 'Own', 'NA'),
            ['do' => 'place', 'kind' => 'limit-switch', 'at' => [100, 100]],
            ['do' => 'place', 'kind' => 'limit-switch', 'at' => [300, 100]],
            ['do' => 'place', 'kind' => 'breaker', 'at' => [5, -7], 'id' => 'main', 'label' => 'Main'],
        );
        self::assertSame(['limit-switch', 'limit-switch-2', 'main'], array_column($d['parts'], 'id'));
        self::assertSame(['Limit switch', 'Limit switch 2', 'Main'], array_column($d['parts'], 'label'));
        self::assertSame([14, 14], $d['parts'][2]['at'], 'within the board');
        $d = $this->done(
            $d,
            ['do' => 'wire', 'from' => 'limit-switch.a', 'to' => 'limit-switch-2.b'],
            ['do' => 'copy', 'parts' => ['limit-switch', 'limit-switch-2'], 'by' => [0, 200]],
        );
        self::assertCount(5, $d['parts']);
        self::assertSame(['w01', 'w02'], array_column($d['wires'], 'id'), 'with the wire between them');
        self::assertSame(['limit-switch-3.a', 'limit-switch-4.b'], [$d['wires'][1]['from'], $d['wires'][1]['to']]);
        $d = $this->done(
            $d,
            ['do' => 'label', 'part' => 'main', 'label' => 'House breaker'],
            ['do' => 'group', 'parts' => ['main', 'limit-switch']],
            ['do' => 'move', 'parts' => ['main'], 'by' => [14, 28]],
        );
        self::assertSame(
            [[28, 42], [114, 128]],
            [$d['parts'][2]['at'], $d['parts'][0]['at']],
            'a group moves together',
        );
        $d = $this->done(
            $d,
            ['do' => 'align', 'parts' => ['limit-switch', 'limit-switch-2'], 'edge' => 'top'],
            ['do' => 'ungroup', 'parts' => ['main']],
        );
        self::assertSame($d['parts'][0]['at'][1], $d['parts'][1]['at'][1]);
        self::assertArrayNotHasKey('groups', $d);
        $d = $this->done($d, ['do' => 'remove', 'parts' => ['limit-switch']]);
        self::assertSame(['w02'], array_column($d['wires'], 'id'));
    }

    public function test_what_speaks_of_a_part_goes_with_it(): void
    {
        $d = $this->done(
            $this->library->document('furnace-standing-pilot'),
            ['do' => 'set', 'path' => '/weights/thermostat:open', 'value' => 2],
            [
                'do' => 'set',
                'path' => '/compounds/-',
                'value' => ['faults' => ['thermostat:open', 'valve:coil-open'], 'weight' => 0.2],
            ],
            ['do' => 'remove', 'parts' => ['thermostat']],
        );
        self::assertSame([[], [], [], []], [$d['weights'], $d['compounds'], $d['found'], $d['cables']]);
        self::assertSame(
            [],
            array_filter($d['visits']['cold']['household'], fn (array $s) => $s['part'] === 'thermostat'),
        );
        self::assertSame(
            [],
            array_filter($d['wires'], fn (array $w) => str_starts_with($w['from'].$w['to'], 'thermostat')),
        );
    }

    public function test_a_wire_gets_the_colour_of_its_side_and_the_gauge_of_its_place(): void
    {
        foreach (
            [
                'NA' => ['supply', ['black', 'white', 'green'], 'awg'],
                'EU' => ['supply-230', ['brown', 'blue', 'green-yellow'], 'mm2'],
            ] as $region => [$supply, $colours, $gauge]
        ) {
            $terminals = array_map('strval', array_keys($this->library->kind($supply)['terminals']));
            $d = $this->done(
                Document::blank('own', 'Own', $region),
                ['do' => 'place', 'kind' => $supply, 'at' => [40, 600], 'id' => 'panel'],
                ['do' => 'place', 'kind' => 'transformer-120-24', 'at' => [300, 300], 'id' => 'tr'],
                ['do' => 'wire', 'from' => "panel.$terminals[0]", 'to' => 'tr.H1'],
                ['do' => 'wire', 'from' => "panel.$terminals[1]", 'to' => 'tr.H2'],
                ['do' => 'wire', 'from' => "panel.$terminals[2]", 'to' => 'tr.frame'],
            );
            self::assertSame($colours, array_column($d['wires'], 'colour'));
            self::assertArrayHasKey($gauge, $d['wires'][0]);
        }
        $d = $this->done($d, ['do' => 'rewire', 'wire' => 'w01', 'awg' => 14, 'feet' => 12, 'tag' => 'L']);
        self::assertSame([14, 12, 'L'], [$d['wires'][0]['awg'], $d['wires'][0]['feet'], $d['wires'][0]['tag']]);
        self::assertArrayNotHasKey('mm2', $d['wires'][0]);
    }

    public function test_a_figure_is_set_and_is_as_usual_again(): void
    {
        $d = $this->library->document('furnace-standing-pilot');
        $after = $this->done(
            $d,
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'opens_at', 'value' => 180],
            ['do' => 'sequence', 'part' => 'fan-limit', 'primitive' => 'bulb', 'line' => 'x', 'value' => 1],
            refused: 'has no sequence table',
        );
        self::assertSame(180, $after['parts'][6]['params']['bulb']['opens_at']);
        self::assertEquals(
            $d,
            $this->done($after, [
                'do' => 'param',
                'part' => 'fan-limit',
                'primitive' => 'bulb',
                'key' => 'opens_at',
                'value' => null,
            ]),
        );
        $furnace = $this->library->document('furnace-80');
        $longer = $this->done($furnace, [
            'do' => 'sequence',
            'part' => 'board',
            'primitive' => 'control',
            'line' => 'times.prepurge_s',
            'value' => 30,
        ]);
        self::assertSame(
            ['times.prepurge_s' => 30],
            array_column($longer['parts'], 'params', 'id')['board']['control']['overrides'],
        );
        self::assertEquals(
            $furnace,
            $this->done($longer, [
                'do' => 'sequence',
                'part' => 'board',
                'primitive' => 'control',
                'line' => 'times.prepurge_s',
                'value' => 15,
            ]),
        );
        $this->done(
            $furnace,
            [
                'do' => 'sequence',
                'part' => 'board',
                'primitive' => 'control',
                'line' => 'states.idle.guards.0.go',
                'value' => 'attic',
            ],
            refused: 'no state called "attic"',
        );
    }

    public function test_a_fault_that_comes_and_goes_is_composed_and_is_one_of_the_model(): void
    {
        $d = $this->done(
            $this->library->document('furnace-standing-pilot'),
            ['do' => 'flaw', 'part' => 'fan-limit', 'contact' => 'limit', 'by' => 'taps', 'count' => 2],
            [
                'do' => 'flaw',
                'part' => 'thermostat',
                'contact' => 'contact',
                'by' => 'after',
                'count' => 90,
                'for_s' => 30,
                'weight' => 0.5,
            ],
        );
        $faults = FaultSet::of($this->library->resolve($d))->faults;
        self::assertSame('Fan and limit: limit loose, closes after 2 taps', $faults['fan-limit:limit-taps-2']->title);
        self::assertSame(
            ['thermostat.contact.flaw' => ['after_s' => 90, 'for_s' => 30]],
            $faults['thermostat:contact-after-90']->set,
        );
        $read = Document::read(Document::text($d), $this->library);
        self::assertSame(Document::text($read), Document::text(Document::read(Document::text($read), $this->library)));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no such edit' => [['do' => 'paint'], 'There is no such edit'];
        yield 'a field missing' => [['do' => 'place', 'kind' => 'breaker'], '"place" needs at as two numbers'];
        yield 'a field too many' => [
            ['do' => 'label', 'part' => 'valve', 'label' => 'x', 'colour' => 'red'],
            '"label" takes no "colour"',
        ];
        yield 'no such kind' => [['do' => 'place', 'kind' => '../../etc', 'at' => [1, 1]], 'There is no kind of part'];
        yield 'no such part' => [
            ['do' => 'move', 'parts' => ['moon'], 'by' => [1, 1]],
            'There is no part called "moon"',
        ];
        yield 'no such place' => [
            ['do' => 'wire', 'from' => 'valve.TH', 'to' => 'valve.moon'],
            '"valve" has no terminal "moon"',
        ];
        yield 'from a place to itself' => [
            ['do' => 'wire', 'from' => 'valve.TH', 'to' => 'valve.TH'],
            'goes from one place to another',
        ];
        yield 'twice the same wire' => [
            ['do' => 'wire', 'from' => 'valve.TR', 'to' => 'transformer.X2'],
            'There is a wire between these already',
        ];
        yield 'no such wire' => [
            ['do' => 'rewire', 'wire' => 'w99', 'colour' => 'red'],
            'There is no wire called "w99"',
        ];
        yield 'no such gauge' => [['do' => 'rewire', 'wire' => 'w01', 'awg' => 13], 'no copper conductor of 13 AWG'];
        yield 'a word for a figure' => [
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'opens_at', 'value' => 'hot'],
            '"opens_at" is a number',
        ];
        yield 'far out of range' => [
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'opens_at', 'value' => 90000],
            'Bulb: opens at: from 20 to 2000 °F; usual is 200',
        ];
        yield 'no such contact' => [
            ['do' => 'flaw', 'part' => 'fan-limit', 'contact' => 'bulb', 'by' => 'taps', 'count' => 1],
            'it has limit, fan, fan_manual',
        ];
        yield 'how a kind is made' => [
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'type', 'value' => 'coil'],
            'is not changed for one part',
        ];
        yield 'a section that is not one' => [
            ['do' => 'set', 'path' => '/name', 'value' => 'x'],
            'Must begin with one of',
        ];
        yield 'a section against the format' => [
            ['do' => 'set', 'path' => '/doors/0/covers', 'value' => 'all'],
            '/doors/0/covers',
        ];
        yield 'a model that is not there' => [
            ['do' => 'like', 'model' => 'warehouse'],
            'There is no model "warehouse"',
        ];
        yield 'a group of one' => [['do' => 'group', 'parts' => ['valve']], 'two parts or more'];
    }

    /** @param array<string, mixed> $edit */
    #[DataProvider('refused')]
    public function test_what_cannot_be_done_says_why(array $edit, string $sentence): void
    {
        try {
            $this->edits->apply($this->library->document('furnace-standing-pilot'), $edit);
            self::fail('it was done');
        } catch (EditError $e) {
            self::assertStringContainsString($sentence, $e->sentence);
            self::assertNotSame('', $e->pointer);
        }
    }

    /** Whatever is done, in whatever order: what comes out can be drawn, written, and read back the same. */
    public function test_random_models_by_the_same_edits_come_back_the_same_from_their_text(): void
    {
        $this->limitTo(getenv('SPARK_ALL_FAULTS') ? 60 : 25)
            ->forAll(Generators::seq(Generators::choose(0, 1_000_000)))
            ->then(function (array $dice): void {
                $d = Document::blank('random', 'Random', $dice !== [] && $dice[0] % 2 === 1 ? 'EU' : 'NA');
                $done = 0;
                foreach ($dice as $die) {
                    try {
                        $d = $this->edits->apply($d, $this->random($d, $die));
                        $done++;
                    } catch (EditError) {
                        // refused: nothing has changed
                    }
                    $text = Document::text($d);
                    self::assertSame($text, Document::text(Document::read($text, $this->library)));
                }
                self::assertTrue($dice === [] || $done > 0);
            });
    }

    /**
     * Texts of documents, damaged at random: each is refused with what and where, or is a document after all.
     * Ten thousand of them: SPARK_ALL_FAULTS=1, as ./spark check does.
     */
    public function test_thousands_of_damaged_documents_crash_nothing(): void
    {
        $most = getenv('SPARK_ALL_FAULTS') ? 10_000 : 2_000;
        $d = $this->done(
            Document::blank('small', 'Small', 'NA'),
            ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'id' => 'panel'],
            ['do' => 'place', 'kind' => 'breaker', 'at' => [40, 300], 'id' => 'breaker'],
            ['do' => 'place', 'kind' => 'circulator', 'at' => [300, 300], 'id' => 'pump'],
            ['do' => 'wire', 'from' => 'panel.L', 'to' => 'breaker.line'],
            ['do' => 'wire', 'from' => 'breaker.load', 'to' => 'pump.L'],
            ['do' => 'wire', 'from' => 'panel.N', 'to' => 'pump.N'],
            ['do' => 'set', 'path' => '/process/level', 'value' => ['type' => 'still', 'value' => 1.0]],
        );
        $text = (string) json_encode(json_decode(Document::text($d), true));
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(7));
        $refused = $read = 0;
        for ($i = 0; $i < $most; $i++) {
            try {
                Document::read($i % 2 === 0 ? self::torn($text, $random) : self::twisted($d, $random), $this->library);
                $read++;
            } catch (DocumentError $e) {
                self::assertNotSame('', $e->getMessage());
                $refused++;
            }
        }
        self::assertSame($most, $refused + $read);
        self::assertGreaterThan($most / 2, $refused);
    }

    /**
     * @param array<string, mixed> $d
     * @return array<string, mixed>
     */
    private function random(array $d, int $die): array
    {
        $kinds = [
            'breaker',
            'limit-switch',
            'splice',
            'transformer-120-24',
            'thermostat-mechanical',
            'zone-valve',
            'circulator',
            'supply',
            'relay-24',
        ];
        $places = [];
        foreach ($d['parts'] as $part) {
            foreach (array_keys($this->library->kind($part['kind'])['terminals']) as $terminal) {
                $places[] = "{$part['id']}.$terminal";
            }
        }
        $part = $d['parts'] === [] ? 'none' : $d['parts'][intdiv($die, 10) % count($d['parts'])]['id'];
        $wire = $d['wires'] === [] ? 'none' : $d['wires'][intdiv($die, 10) % count($d['wires'])]['id'];
        $place = fn (int $by): string => $places === [] ? 'none.x' : $places[intdiv($die, $by) % count($places)];

        return match ($d['parts'] === [] ? 0 : $die % 10) {
            0, 1, 2 => [
                'do' => 'place',
                'kind' => $kinds[intdiv($die, 10) % count($kinds)],
                'at' => [$die % 1100, intdiv($die, 7) % 700],
            ],
            3, 4, 5 => ['do' => 'wire', 'from' => $place(10), 'to' => $place(1000)],
            6 => ['do' => 'move', 'parts' => [$part], 'by' => [$die % 50, -($die % 30)]],
            7 => ['do' => 'remove'] + ($die % 3 === 0 ? ['parts' => [$part]] : ['wires' => [$wire]]),
            8 => ['do' => 'copy', 'parts' => [$part]],
            default => ['do' => 'rewire', 'wire' => $wire, 'colour' => 'violet', 'tag' => "T$die"],
        };
    }

    private static function torn(string $text, \Random\Randomizer $random): string
    {
        for ($i = $random->getInt(1, 4); $i > 0; $i--) {
            $at = $random->getInt(0, strlen($text) - 1);
            $text = match ($random->getInt(0, 3)) {
                0 => substr_replace($text, chr($random->getInt(0, 255)), $at, 1),
                1 => substr($text, 0, $at).substr($text, min(strlen($text), $at + $random->getInt(1, 40))),
                2 => substr_replace($text, substr($text, $random->getInt(0, $at), $random->getInt(1, 30)), $at, 0),
                default => substr($text, 0, $at),
            };
            $text = $text === '' ? '{' : $text;
        }

        return $text;
    }

    /** @param array<string, mixed> $d */
    private static function twisted(array $d, \Random\Randomizer $random): string
    {
        $at = &$d;
        while (is_array($at) && $at !== [] && $random->getInt(0, 4) > 0) {
            $at = &$at[array_keys($at)[$random->getInt(0, count($at) - 1)]];
        }
        $at = [null, -1, 1e308, '', 'moon', [], [[]], ['x' => 1], true, str_repeat('a', 5000)][$random->getInt(0, 9)];
        unset($at);

        return (string) json_encode($d);
    }

    /**
     * @param array<string, mixed> $d
     * @param array<string, mixed>|string ...$edits the last of them refused, when that is said
     * @return array<string, mixed>
     */
    private function done(array $d, array|string ...$edits): array
    {
        $refused = $edits['refused'] ?? null;
        unset($edits['refused']);
        foreach (array_values($edits) as $i => $edit) {
            if ($refused !== null && $i === count($edits) - 1) {
                try {
                    $this->edits->apply($d, $edit);
                    self::fail('it was done');
                } catch (EditError $e) {
                    self::assertStringContainsString($refused, $e->getMessage());
                }
            } else {
                $d = $this->edits->apply($d, $edit);
            }
        }

        return $d;
    }

    /** What is included is kept as it was; that it has changed is told, and taken when somebody wants it. */
    public function test_a_change_of_an_included_appliance_is_offered_and_never_forced(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = $edits->apply(
            Document::blank('outer', 'Outer', 'NA'),
            ['do' => 'include', 'model' => 'zones-hydronic', 'id' => 'zones', 'keep' => true],
        );
        self::assertSame([], Included::newer($d, $library));
        self::assertSame(
            $library->resolve($library->document('zones-hydronic'))->part('boiler.high')?->label,
            $library->resolve($d)->part('zones.boiler.high')?->label,
        );
        // what was shipped then was called otherwise, and had a wire less
        $then = $d;
        $at = array_search('boiler.high', array_column($then['includes'][0]['document']['parts'], 'id'), true);
        $then['includes'][0]['document']['parts'][$at]['label'] = 'Old high limit';
        self::assertSame('Old high limit', $library->resolve($then)->part('zones.boiler.high')?->label, 'as it was');
        $offered = Included::newer($then, $library);
        self::assertCount(1, $offered);
        self::assertStringContainsString('High limit', $offered[0]->why);
        self::assertSame($d, $edits->apply($then, $offered[0]->edits[0]), 'and taken when it is wanted');
        $this->expectExceptionMessage('Nothing that is included is called "boiler".');
        $edits->apply($then, ['do' => 'renew', 'id' => 'boiler']);
    }

    /** A wire can touch a conductor of its cable where that ends; when that goes, nothing is left to touch. */
    public function test_what_a_wire_lies_against_is_said_and_goes_with_what_it_was(): void
    {
        $edits = new Edits(new Library());
        $d = $edits->apply(
            (new Library())->document('unit-heater'),
            ['do' => 'rewire', 'wire' => 'w08', 'near' => 'thermostat.W', 'modes' => ['open', 'gnawed']],
        );
        $near = fn (array $d): ?string => array_column($d['wires'], 'near', 'id')['w08'] ?? null;
        self::assertSame('thermostat.W', $near($d));
        self::assertNull($near($edits->apply($d, ['do' => 'rewire', 'wire' => 'w08', 'near' => 'nothing'])));
        self::assertNull($near($edits->apply($d, ['do' => 'remove', 'wires' => ['w09']])));
        self::assertNull($near($edits->apply($d, ['do' => 'cable', 'id' => 'other', 'wires' => ['w09']])));
        self::assertNull($near($edits->apply($d, ['do' => 'land', 'wire' => 'w09', 'end' => 'a', 'on' => 'limit.b'])));
        $this->expectExceptionMessage('does not lie beside');
        $edits->apply($d, ['do' => 'rewire', 'wire' => 'w08', 'near' => 'limit.b']);
    }
}
