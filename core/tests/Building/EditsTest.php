<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use Eris\TestTrait;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Faults\FaultSet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EditsTest extends TestCase
{
    use EditedModels;
    use TestTrait;

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
}
