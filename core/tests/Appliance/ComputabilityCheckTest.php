<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Run\RunError;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What cannot be computed is refused with the parts by name, in bounded time and memory. */
final class ComputabilityCheckTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, string|array<string, mixed>>, list<array{string, string}>, string,
     *     list<string>}>
     */
    public static function unsound(): iterable
    {
        yield 'a supply shorted by a wire' => [
            ['panel' => 'supply', 'nut' => 'splice'], [['panel.L', 'nut.in'], ['nut.out', 'panel.N']],
            '/parts/0', ['"Panel" (panel) is shorted from L to N', 'wire w0', '"Nut"', 'wire w1'],
        ];
        yield 'hot to ground' => [
            ['panel' => 'supply'],
            [['panel.L', 'panel.G']],
            '/parts/0',
            ['shorted from L to G by wire w0'],
        ];
        yield 'a secondary shorted' => [
            ['trafo' => 'transformer-120-24'],
            [['trafo.X1', 'trafo.X2']],
            '/parts/0',
            ['"Trafo" (trafo)', 'X1 to X2'],
        ];
        yield 'a thermopile shorted' => [
            ['pile' => ['kind' => 'thermopile', 'links' => ['tip' => 'tip']]],
            [['pile.plus', 'pile.minus']],
            '/parts/0',
            ['"Pile" (pile)'],
        ];
        yield 'two legs tied together' => [
            ['panel' => 'supply-240'],
            [['panel.L1', 'panel.L2']],
            '/parts/0',
            ['panel.L1 and panel.L2', 'wire w0', '121 V at 0°', '121 V at 180°'],
        ];
        yield 'two supplies that differ' => [
            ['one' => 'supply', 'two' => ['kind' => 'supply', 'params' => ['source' => ['volts' => 110]]]],
            [['one.L', 'two.L']],
            '/parts/1',
            ['one.L and two.L', '121 V', '110 V'],
        ];
        yield 'no resistance' => [
            ['hot' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 0]]]],
            [],
            '/parts/0/params/element/cold_ohm',
            ['"Hot" (hot)', 'above zero'],
        ];
        yield 'below zero' => [
            ['hot' => ['kind' => 'igniter', 'params' => ['element' => ['hot_ohm' => -3]]]],
            [],
            '/parts/0/params/element/hot_ohm',
            ['it is -3'],
        ];
        yield 'not finite' => [
            ['hot' => ['kind' => 'igniter', 'params' => ['element' => ['tau_s' => NAN]]]],
            [],
            '/parts/0/params/element/tau_s',
            ['"Hot" (hot)', 'finite'],
        ];
        yield 'infinite' => [
            ['hot' => ['kind' => 'igniter', 'params' => ['element' => ['rise_f' => INF]]]],
            [],
            '/parts/0/params/element/rise_f',
            ['finite'],
        ];
        yield 'words for ohms' => [
            ['hot' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 'many']]]],
            [],
            '/parts/0/params/element/cold_ohm',
            ['must be a number'],
        ];
        yield 'a motor without copper' => [
            ['fan' => ['kind' => 'inducer', 'params' => ['motor' => ['run' => [0, 4]]]]],
            [],
            '/parts/0/params/motor/run/0',
            ['"Fan" (fan)'],
        ];
    }

    /**
     * @param array<string, string|array<string, mixed>> $parts
     * @param list<array{string, string}> $wires
     * @param list<string> $said
     */
    #[DataProvider('unsound')]
    public function test_it_is_refused_by_name(array $parts, array $wires, string $pointer, array $said): void
    {
        try {
            Fixtures::small($parts, $wires, ['tip' => ['type' => 'still', 'value' => 80]]);
            self::fail('it was taken');
        } catch (DocumentError $e) {
            self::assertSame($pointer, $e->pointer, $e->getMessage());
            foreach ($said as $words) {
                self::assertStringContainsString($words, $e->getMessage());
            }
        }
    }

    public function test_a_neutral_bonded_to_ground_or_two_like_supplies_are_no_fault_of_the_figures(): void
    {
        self::assertCount(
            2,
            Fixtures::small(['one' => 'supply', 'two' => 'supply'], [['one.L', 'two.L'], ['one.N', 'one.G']])->document[
                'parts'
            ],
        );
    }

    public function test_numbers_beyond_a_float_are_refused_as_they_are_read(): void
    {
        $text = str_replace(
            '"feet": 30,',
            '"feet": 1e999,',
            (string) file_get_contents(__DIR__.'/../../models/furnace-80.json'),
        );
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('/wires/1/feet');
        (new Library())->resolve(DocumentFile::parse($text));
    }

    public function test_ten_thousand_parts_are_refused_soon_and_without_much_memory(): void
    {
        $parts = [];
        for ($i = 0; $i < 10_000; $i++) {
            $parts["p$i"] = 'splice';
        }
        $before = memory_get_peak_usage();
        try {
            Fixtures::small($parts, []);
            self::fail('they were taken');
        } catch (DocumentError $e) {
            self::assertSame('/parts: Holds 10000; at most 1000 are taken.', $e->getMessage());
        }
        self::assertLessThan(200e6, memory_get_peak_usage() - $before);
    }

    public function test_a_thousand_parts_in_a_ring_are_solved(): void
    {
        $parts = ['panel' => 'supply'];
        $wires = [['panel.L', 'p0.in']];
        for ($i = 0; $i < 900; $i++) {
            $parts["p$i"] = 'splice';
            $wires[] = ["p$i.out", $i < 899 ? 'p'.($i + 1).'.in' : 'heat.1'];
        }
        $parts['heat'] = 'igniter';
        $wires[] = ['heat.2', 'panel.N'];
        $plan = Compiler::compile(Fixtures::small($parts, $wires));
        $machine = new Machine($plan, [], new Memory());
        $state = $machine->initial();
        $solution = $machine->solution($state);
        // 1.5 ft of 18 AWG at 25 °C and two joints a wire, 2 mΩ a splice, and 58 Ω
        $ohms = 902 * (0.00977 + 0.004) + 900 * 0.002 + 58 + 0.18;
        self::assertEqualsWithDelta(
            (121 * 58) / $ohms,
            $solution->acVolts($plan->places['heat.1'], $plan->places['heat.2']),
            0.2,
        );
    }

    public function test_a_fault_that_would_make_no_value_is_refused_when_it_is_set(): void
    {
        $this->expectException(RunError::class);
        $this->expectExceptionMessage('igniter.element');
        new Machine(Fixtures::furnace(), ['igniter.element.cold_ohm' => -10], new Memory());
    }
}
