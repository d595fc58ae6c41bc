<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use OddSpark\Trade\ReferenceCard;
use OddSpark\Trade\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SumsTest extends TestCase
{
    /**
     * @return iterable<string, array{string, array<string, float>, string, float, float}> sum, what differs, result,
     *     figure, within
     */
    public static function figures(): iterable
    {
        // 2652 × A / V at 60 Hz and 3183 at 50 Hz: the trade's own figures for 10⁶ / 2πf
        yield 'capacitor, 60 Hz' => [
            'capacitor',
            ['amps' => 1.0, 'volts' => 1.0, 'hertz' => 60.0],
            'Capacitance',
            2652.0,
            1.0,
        ];
        yield 'capacitor, 50 Hz' => [
            'capacitor',
            ['amps' => 1.0, 'volts' => 1.0, 'hertz' => 50.0],
            'Capacitance',
            3183.0,
            1.0,
        ];
        yield 'capacitor against its label' => [
            'capacitor',
            ['amps' => 0.7, 'volts' => 370.0, 'label_uf' => 5.0175],
            'Off its label',
            0.0,
            0.1,
        ];
        // 80,000 Btu/h at 80 % over 50 °F: 64,000 / 54 by hand
        yield 'rise' => [
            'rise',
            ['input_btuh' => 80000.0, 'efficiency' => 80.0, 'return_f' => 68.0, 'supply_f' => 118.0],
            'Air moved',
            64000 / 54,
            0.5,
        ];
        yield 'clocking' => [
            'clocking',
            ['cubic_feet' => 1.0, 'seconds' => 45.0, 'btu_ft3' => 1000.0],
            'Input',
            80000.0,
            0.5,
        ];
        yield 'clocking, against the plate' => [
            'clocking',
            ['cubic_feet' => 1.0, 'seconds' => 45.0, 'btu_ft3' => 1000.0, 'plate_btuh' => 100000.0],
            'Of the input on the plate',
            80.0,
            0.05,
        ];
        yield 'rise, against the plate' => [
            'rise',
            [
                'input_btuh' => 80000.0, 'efficiency' => 80.0, 'return_f' => 68.0, 'supply_f' => 143.0,
                'plate_low_f' => 35.0, 'plate_high_f' => 65.0,
            ],
            'Below the most on the plate',
            -10.0,
            0.01,
        ];
        yield 'transformer' => [
            'transformer',
            ['volts' => 25.0, 'amps' => 1.6, 'rating_va' => 40.0],
            'Of its rating',
            100.0,
            0.01,
        ];
        // NEC chapter 9 table 8: 18 AWG 7.77 Ω per 1000 ft; there and back over 100 ft at 1 A
        yield 'wire' => ['wire', ['feet' => 100.0, 'amps' => 1.0, 'awg' => 18.0], 'Lost there and back', 1.554, 0.0005];
        // 27 V RMS through 1 MΩ and a diode: mean 0.450 of it
        yield 'flame' => ['flame', ['volts' => 27.0, 'megohms' => 1.0], 'Flame current', 12.15, 0.01];
    }

    /** @param array<string, float> $with */
    #[DataProvider('figures')]
    public function test_a_sum_comes_to_what_it_comes_to_by_hand(
        string $sum,
        array $with,
        string $result,
        float $figure,
        float $within,
    ): void {
        $all = $with + array_map(fn (array $input) => $input['at'], Sums::all()[$sum]['inputs']);
        self::assertEqualsWithDelta($figure, array_column(Sums::of($sum, $all), 'value', 'label')[$result], $within);
    }

    public function test_every_sum_can_be_done_as_it_is_offered_and_names_its_source(): void
    {
        foreach (Sums::all() as $id => $sum) {
            self::assertNotSame('', $sum['source']);
            foreach (Sums::of($id, array_map(fn (array $input) => $input['at'], $sum['inputs'])) as $row) {
                self::assertTrue(is_finite($row['value']), $id);
            }
        }
        foreach (ReferenceCard::groups() as $group) {
            foreach ($group['rows'] as $row) {
                self::assertNotSame('', $row['source'], $row['what']);
            }
        }
    }

    /** @return iterable<string, array{string, array<string, float>, string}> */
    public static function mistakes(): iterable
    {
        yield 'no such sum' => ['tea', [], 'There is no sum "tea".'];
        yield 'missing' => ['flame', ['volts' => 100.0], 'Flame and feed in series: a figure is missing.'];
        yield 'out of range' => [
            'flame',
            ['volts' => 100000.0, 'megohms' => 1.0],
            'Volts AC on the rod: from 10 to 300 V.',
        ];
        yield 'no such gauge' => [
            'wire',
            ['feet' => 1.0, 'amps' => 1.0, 'awg' => 17.0, 'volts' => 24.0],
            'Size: one of 22, 20, 18, 16, 14, 12, 10.',
        ];
        yield 'colder than it went in' => [
            'rise',
            ['input_btuh' => 80000.0, 'efficiency' => 80.0, 'return_f' => 70.0, 'supply_f' => 60.0],
            'Supply air: it must be warmer than the return air.',
        ];
    }

    /** @param array<string, float> $with */
    #[DataProvider('mistakes')]
    public function test_what_is_wrong_is_said(string $sum, array $with, string $sentence): void
    {
        $this->expectExceptionMessage($sentence);
        Sums::of($sum, $with);
    }
}
