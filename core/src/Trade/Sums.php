<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/**
 * Bench sums: what a technician works out beside the appliance, each with its formula and where it is from.
 */
final class Sums
{
    /** What stands on the rating plate: a sum is done without it too. */
    private const BY_PLATE = ['plate_btuh', 'plate_low_f', 'plate_high_f'];

    private const GAUGES = [22.0, 20.0, 18.0, 16.0, 14.0, 12.0, 10.0];

    /**
     * @return array<string, array{title: string, formula: string, source: string, inputs: array<string,
     *     array{label: string, unit: string, at: float, least: float, most: float, choices?: list<float>}>}>
     */
    public static function all(): array
    {
        $in = fn (string $label, string $unit, float $at, float $least, float $most): array => [
            'label' => $label,
            'unit' => $unit,
            'at' => $at,
            'least' => $least,
            'most' => $most,
        ];

        return [
            'capacitor' => [
                'title' => 'Run capacitor under load',
                'formula' => 'µF = 10⁶ × A ÷ (2π × Hz × V): 2652 × A ÷ V at 60 Hz, 3183 at 50 Hz',
                'source' => 'derived: the reactance of a capacitor',
                'inputs' => [
                    'amps' => $in('Amps in the start winding\'s wire', 'A', 0.7, 0.01, 50),
                    'volts' => $in('Volts across the capacitor', 'V', 370, 1, 1000),
                    'hertz' => $in('Supply', 'Hz', 60, 50, 60),
                    'label_uf' => $in('On its label', 'µF', 5, 0.5, 200),
                ],
            ],
            'rise' => [
                'title' => 'Temperature rise',
                'formula' => 'CFM = Btu/h out ÷ (1.08 × °F rise)',
                'source' => 'ASHRAE Fundamentals, sensible heat of standard air (1.08 to 1.10); the figure from memory',
                'inputs' => [
                    'input_btuh' => $in('Input by the plate or by clocking', 'Btu/h', 80000, 1000, 500000),
                    'efficiency' => $in('Efficiency', '%', 80, 40, 100),
                    'return_f' => $in('Return air', '°F', 68, 20, 120),
                    'supply_f' => $in('Supply air', '°F', 118, 30, 250),
                    'plate_low_f' => $in('Least rise on the plate', '°F', 35, 5, 150),
                    'plate_high_f' => $in('Most rise on the plate', '°F', 65, 5, 150),
                ],
            ],
            'clocking' => [
                'title' => 'Clocking the gas meter',
                'formula' => 'Btu/h = 3600 × ft³ a turn ÷ seconds × Btu/ft³',
                'source' => 'derived; the heating value is the supplier\'s, 1000 to 1050 Btu/ft³ is common practice, no source',
                'inputs' => [
                    'cubic_feet' => $in('One turn of the dial', 'ft³', 1, 0.1, 10),
                    'seconds' => $in('Seconds for one turn', 's', 45, 1, 3600),
                    'btu_ft3' => $in('Heating value', 'Btu/ft³', 1020, 500, 3000),
                    'plate_btuh' => $in('Input on the plate', 'Btu/h', 80000, 1000, 500000),
                ],
            ],
            'transformer' => [
                'title' => 'Transformer load',
                'formula' => 'VA = V × A; share = VA ÷ rating',
                'source' => 'derived; a class 2 control transformer is not above 100 VA: NFPA 70 art. 725 and ch. 9 table 11, from memory',
                'inputs' => [
                    'volts' => $in('Secondary volts', 'V', 26, 1, 300),
                    'amps' => $in('Secondary amps', 'A', 0.9, 0.01, 50),
                    'rating_va' => $in('On its label', 'VA', 40, 5, 1000),
                ],
            ],
            'wire' => [
                'title' => 'Volts lost in a wire',
                'formula' => 'V = 2 × ft × A × Ω per 1000 ft ÷ 1000',
                'source' => 'NFPA 70 (NEC) chapter 9 table 8, solid uncoated copper at 75 °C, from memory',
                'inputs' => [
                    'feet' => $in('One way', 'ft', 50, 0.1, 5000),
                    'amps' => $in('Amps', 'A', 0.5, 0.001, 100),
                    'awg' => ['choices' => self::GAUGES] + $in('Size', 'AWG', 18, 10, 22),
                    'volts' => $in('Volts at its beginning', 'V', 25, 1, 600),
                ],
            ],
            'flame' => [
                'title' => 'Flame loop',
                'formula' => 'µA = 10⁶ × √2 × V ÷ (π × Ω)',
                'source' => 'mean of a half-wave rectified sine, any circuits textbook',
                'inputs' => [
                    'volts' => $in('Volts AC on the rod', 'V', 100, 10, 300),
                    'megohms' => $in('Flame and feed in series', 'MΩ', 15, 0.1, 500),
                ],
            ],
        ];
    }

    /**
     * @param array<string, float> $with by input
     * @return list<array{label: string, value: float, unit: string, digits: int}>
     *
     * @throws \DomainException when there is no such sum, or an input is missing or out of its range
     */
    public static function of(string $sum, array $with): array
    {
        $known = self::all()[$sum] ?? throw new \DomainException("There is no sum \"$sum\".");
        foreach ($known['inputs'] as $name => $input) {
            if (! isset($with[$name]) && in_array($name, self::BY_PLATE, true)) {
                continue;
            }
            $value = $with[$name] ?? throw new \DomainException("{$input['label']}: a figure is missing.");
            if (
                $value < $input['least'] ||
                $value > $input['most'] ||
                (isset($input['choices']) && ! in_array($value, $input['choices'], true))
            ) {
                throw new \DomainException(
                    "{$input['label']}: ".
                        (isset($input['choices'])
                            ? 'one of '.implode(', ', $input['choices'])
                            : "from {$input['least']} to {$input['most']} {$input['unit']}").
                        '.',
                );
            }
        }
        $out = fn (string $label, float $value, string $unit, int $digits = 1): array => [
            'label' => $label,
            'value' => $value,
            'unit' => $unit,
            'digits' => $digits,
        ];

        return match ($sum) {
            'capacitor' => [
                $out('Capacitance', $uf = 1e6 * $with['amps'] / (2 * M_PI * $with['hertz'] * $with['volts']), 'µF', 2),
                $out('Off its label', 100 * ($uf / $with['label_uf'] - 1), '%'),
            ],
            'rise' => self::rise($with, $out),
            'clocking' => [
                $out('Input', $input = 3600 * $with['cubic_feet'] / $with['seconds'] * $with['btu_ft3'], 'Btu/h', 0),
                $out('Flow', (3600 * $with['cubic_feet']) / $with['seconds'], 'ft³/h'),
                ...isset($with['plate_btuh'])
                    ? [$out('Of the input on the plate', 100 * $input / $with['plate_btuh'], '%')]
                    : [],
            ],
            'transformer' => [
                $out('Load', $with['volts'] * $with['amps'], 'VA'),
                $out('Of its rating', (100 * $with['volts'] * $with['amps']) / $with['rating_va'], '%', 0),
            ],
            'wire' => [
                $out(
                    'Lost there and back',
                    $lost = $with['amps'] * Conductor::ohms((int) $with['awg'], 2 * $with['feet'], 75.0),
                    'V',
                    2,
                ),
                $out('Left at its end', $with['volts'] - $lost, 'V', 2),
                $out('Share lost', (100 * $lost) / $with['volts'], '%'),
            ],
            default => [$out('Flame current', M_SQRT2 * $with['volts'] / (M_PI * $with['megohms']), 'µA', 2)],
        };
    }

    /**
     * @param array<string, float> $with
     * @param callable(string, float, string, int=): array{label: string, value: float, unit: string, digits: int} $out
     * @return list<array{label: string, value: float, unit: string, digits: int}>
     */
    private static function rise(array $with, callable $out): array
    {
        $rise = $with['supply_f'] - $with['return_f'];
        if ($rise <= 0) {
            throw new \DomainException('Supply air: it must be warmer than the return air.');
        }

        return [
            $out('Rise', $rise, '°F'),
            $out(
                'Air moved',
                ($with['input_btuh'] * $with['efficiency']) / 100 / (Units::AIR_BTU_H_PER_CFM_F * $rise),
                'CFM',
                0,
            ),
            ...isset($with['plate_low_f'])
                ? [$out('Above the least on the plate', $rise - $with['plate_low_f'], '°F')]
                : [],
            ...isset($with['plate_high_f'])
                ? [$out('Below the most on the plate', $with['plate_high_f'] - $rise, '°F')]
                : [],
        ];
    }
}
