<?php

declare(strict_types=1);

namespace OddSpark\Tests\Wiring;

use OddSpark\Appliance\Library;
use OddSpark\Building\Edits;
use OddSpark\Tests\Building\Crowd;
use OddSpark\Wiring\Checks;
use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is done to a sound appliance by hand, and which rule must see it: expected from the wiring, as an inspector
 * would tell it (common practice, no source).
 */
final class ChecksTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_nothing_is_wrong_with_what_is_shipped(string $name): void
    {
        $wrong = array_filter(
            Checks::of((new Library())->model($name)),
            fn (Finding $f) => $f->grade === Finding::WRONG,
        );
        self::assertSame([], array_map(fn (Finding $f) => $f->text, $wrong));
    }

    /**
     * @return iterable<string, array{string, list<array<string, mixed>>, string, string}> rule, edits,
     *     and what the text and the why must say
     */
    public static function harm(): iterable
    {
        $wire = fn (string $from, string $to): array => ['do' => 'wire', 'from' => $from, 'to' => $to];
        $land = fn (string $wire, string $end, string $on): array => [
            'do' => 'land',
            'wire' => $wire,
            'end' => $end,
            'on' => $on,
        ];
        $off = fn (string ...$wires): array => ['do' => 'remove', 'wires' => $wires];
        $place = fn (string $kind, string $label): array => [
            'do' => 'place',
            'kind' => $kind,
            'at' => [700, 300],
            'label' => $label,
        ];
        yield 'a wire past the load' => [
            'short',
            [$wire('fan-limit.F2', 'n-nut.out')],
            'is shorted when',
            'A fuse blows',
        ];
        yield 'a wire straight across' => [
            'short',
            [$wire('transformer.X1', 'transformer.X2')],
            'its secondary, 24 V is shorted by its own wires',
            'transformer burns',
        ];
        yield 'a home that hangs' => [
            'load without a path',
            [$off('w14')],
            'Gas valve: coil has no complete path from a supply and back',
            'never work',
        ];
        yield 'a part that nothing is wired to' => [
            'floating part',
            [$place('relay-24', 'Spare relay')],
            'Nothing is wired to Spare relay',
            'does nothing',
        ];
        yield 'a switch in the neutral' => [
            'switched neutral',
            [
                $place('service-switch', 'Second switch'),
                $off('w10'),
                $wire('n-nut.out', 'second-switch.line'),
                $wire('second-switch.load', 'blower.N'),
            ],
            'Second switch is in the neutral',
            'leaves it live',
        ];
        yield 'a limit in the common' => [
            'switch in the wrong leg',
            [
                $place('limit-switch', 'Plenum limit'),
                $off('w14'),
                $wire('valve.TR', 'plenum-limit.a'),
                $wire('plenum-limit.b', 'transformer.X2'),
            ],
            'Plenum limit is in the common leg',
            'the load stays on',
        ];
        yield 'a limit that is bridged by its wiring' => [
            'safety not in the valve\'s path',
            [$land('w07', 'a', 'fan-limit.L1')],
            'Gas valve can be fed with Fan and limit: limit open',
            'the fuel keeps flowing',
        ];
        yield 'two transformers side by side' => [
            'sources paralleled',
            [
                $place('transformer-120-24', 'Second transformer'),
                $wire('fan-limit.L2', 'second-transformer.H1'),
                $wire('n-nut.out', 'second-transformer.H2'),
                $wire('transformer.X1', 'second-transformer.X1'),
                $wire('transformer.X2', 'second-transformer.X2'),
                $wire('second-transformer.frame', 'screw.screw'),
            ],
            'are tied together',
            'backfeeds the other',
        ];
        yield 'two transformers against each other' => [
            'out of phase',
            [
                $place('transformer-120-24', 'Second transformer'),
                $wire('fan-limit.L2', 'second-transformer.H2'),
                $wire('n-nut.out', 'second-transformer.H1'),
                $wire('transformer.X1', 'second-transformer.X1'),
                $wire('transformer.X2', 'second-transformer.X2'),
                $wire('second-transformer.frame', 'screw.screw'),
            ],
            'the one against the other',
            'burn within minutes',
        ];
        yield 'line voltage on the thermostat' => [
            'class 2 meets line voltage',
            [$land('w12', 'a', 'panel.L')],
            'is fed from',
            'onto thermostat wire',
        ];
        yield 'both in one cable' => [
            'class 2 meets line voltage',
            [['do' => 'cable', 'id' => 'thermostat', 'wires' => ['w03']]],
            'side by side',
            'not made for line voltage',
        ];
        yield 'a frame without its bond' => [
            'missing bond',
            [$off('w11')],
            'Blower frame has no path to ground',
            'no breaker trips',
        ];
        yield 'a hot wire that is white' => [
            'color against the convention',
            [['do' => 'rewire', 'wire' => 'w03', 'colour' => 'white']],
            'is live',
            'takes it for something else',
        ];
        yield 'a neutral that is black' => [
            'color against the convention',
            [['do' => 'rewire', 'wire' => 'w04', 'colour' => 'black']],
            'is neutral',
            'takes it for something else',
        ];
        yield 'thermostat wire behind a breaker' => [
            'gauge too thin for its fuse',
            [['do' => 'rewire', 'wire' => 'w02', 'awg' => 18]],
            'behind Breaker 15 A of 15 A',
            'overheats before the fuse',
        ];
        yield 'too many relays on one transformer' => [
            'transformer overloaded',
            array_merge(
                ...array_map(
                    fn (int $i) => [
                        $place('relay-24', "Relay $i"),
                        ['do' => 'param', 'part' => "relay-$i", 'primitive' => 'coil', 'key' => 'ohm', 'value' => 20],
                        [
                            'do' => 'param',
                            'part' => "relay-$i",
                            'primitive' => 'coil',
                            'key' => 'reactance_ohm',
                            'value' => 30,
                        ],
                        $wire('thermostat.W', "relay-$i.A"),
                        $wire("relay-$i.B", 'transformer.X2'),
                    ],
                    [1, 2, 3],
                ),
            ),
            'rated for 40',
            'relays chatter',
        ];
        yield 'a fuse below its load' => [
            'fuse too small for its load',
            [['do' => 'param', 'part' => 'breaker', 'primitive' => 'trip', 'key' => 'amps', 'value' => 2]],
            'it is rated for 2 A',
            'blows in normal use',
        ];
        yield 'a switch that switches nothing' => [
            'part without effect',
            [$place('service-switch', 'Lost switch'), $wire('service.load', 'lost-switch.line')],
            'Lost switch is on no path',
            'changes nothing',
        ];
    }

    /** @param list<array<string, mixed>> $edits */
    #[DataProvider('harm')]
    public function test_what_is_done_wrong_is_found_and_the_mend_that_is_offered_mends_it(
        string $rule,
        array $edits,
        string $text,
        string $why,
    ): void {
        $library = new Library();
        $editor = new Edits($library);
        $document = array_reduce($edits, $editor->apply(...), $library->document('furnace-standing-pilot'));
        $found = array_values(
            array_filter(Checks::of($library->draft($document)), fn (Finding $f) => $f->rule === $rule),
        );
        self::assertNotSame(
            [],
            $found,
            implode('; ', array_map(fn (Finding $f) => "$f->rule: $f->text", Checks::of($library->draft($document)))),
        );
        self::assertStringContainsString($text, $found[0]->text);
        self::assertStringContainsString($why, $found[0]->why);
        self::assertNotSame([], [...$found[0]->parts, ...$found[0]->wires], 'it says where');
        self::assertNotSame('', $found[0]->mend);
        if ($found[0]->edits !== []) {
            self::assertNotSame('', $found[0]->does, 'it says what it will do');
            self::assertNotContains('remove', array_column($found[0]->edits, 'do'), 'it takes nothing off');
            $mended = array_reduce($found[0]->edits, $editor->apply(...), $document);
            $left = array_map(
                fn (Finding $f) => $f->text,
                array_filter(Checks::of($library->draft($mended)), fn (Finding $f) => $f->rule === $rule),
            );
            self::assertNotContains($found[0]->text, $left, 'its own mend mends it');
        }
    }

    public function test_what_was_put_aside_stands_last_with_its_reason_and_comes_back_when_it_is_another(): void
    {
        $library = new Library();
        $editor = new Edits($library);
        $harm = [
            ['do' => 'place', 'kind' => 'service-switch', 'label' => 'Lost switch', 'at' => [20, 20]],
            ['do' => 'place', 'kind' => 'circulator', 'label' => 'Lost pump', 'at' => [20, 700]],
        ];
        $document = array_reduce($harm, $editor->apply(...), $library->document('furnace-standing-pilot'));
        $first = Checks::of($library->draft($document))[0];
        self::assertNull($first->accepted);
        $aside = ['rule' => $first->rule, 'parts' => $first->parts, 'wires' => $first->wires, 'reason' => 'as found'];
        $accept = fn (array $one): array => ['do' => 'set', 'path' => '/accepted/-', 'value' => $one];
        $after = Checks::of($library->draft($editor->apply($document, $accept($aside))));
        self::assertSame('as found', $after[count($after) - 1]->accepted);
        self::assertSame($first->text, $after[count($after) - 1]->text);
        $elsewhere = Checks::of($library->draft($editor->apply($document, $accept(['wires' => ['w0']] + $aside))));
        self::assertSame([], array_filter($elsewhere, fn (Finding $f) => $f->accepted !== null));
    }

    public function test_two_legs_of_a_split_phase_are_no_switched_neutral(): void
    {
        $rules = array_map(fn (Finding $f) => $f->rule, Checks::of((new Library())->model('package-direct-spark')));
        self::assertNotContains('switched neutral', $rules);
        self::assertNotContains('out of phase', $rules);
    }

    public function test_a_mesh_of_switches_is_gone_through_to_a_bound_and_that_is_said(): void
    {
        $library = new Library();
        $nets = new Nets($library->draft(Crowd::document($library, 400, 1000)));
        $found = array_column(array_map(fn (Finding $f) => $f->toArray(), Checks::of($nets->model)), 'rule');
        Circuits::of($nets);
        self::assertTrue($nets->isCutShort());
        self::assertContains('too many ways', $found);
        self::assertNotContains('load without a path', $found, 'which is not known then');
        self::assertNotContains('part without effect', $found);
        foreach ($library->names() as $name) {
            $nets = new Nets($library->model($name));
            Circuits::of($nets);
            self::assertFalse($nets->isCutShort(), $name);
        }
    }
}
