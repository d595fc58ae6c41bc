<?php

declare(strict_types=1);

namespace OddSpark\Trade;

use OddSpark\Words\Words;

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
                'title' => Words::say('trade.sums.run_capacitor_under_load'),
                'formula' => 'µF = 10⁶ × A ÷ (2π × Hz × V): 2652 × A ÷ V at 60 Hz, 3183 at 50 Hz',
                'source' => Words::say('trade.sums.derived_the_reactance_of_a'),
                'inputs' => [
                    'amps' => $in(Words::say('trade.sums.amps_in_the_start_winding'), 'A', 0.7, 0.01, 50),
                    'volts' => $in(Words::say('trade.sums.volts_across_the_capacitor'), 'V', 370, 1, 1000),
                    'hertz' => $in('Supply', 'Hz', 60, 50, 60),
                    'label_uf' => $in(Words::say('trade.sums.on_its_label'), 'µF', 5, 0.5, 200),
                ],
            ],
            'rise' => [
                'title' => Words::say('trade.sums.temperature_rise'),
                'formula' => Words::say('trade.sums.cfm_btu_h_out_1'),
                'source' => Words::say('trade.sums.ashrae_fundamentals_sensible_heat_of'),
                'inputs' => [
                    'input_btuh' => $in(Words::say('trade.sums.input_by_the_plate_or'), 'Btu/h', 80000, 1000, 500000),
                    'efficiency' => $in('Efficiency', '%', 80, 40, 100),
                    'return_f' => $in(Words::say('trade.sums.return_air'), '°F', 68, 20, 120),
                    'supply_f' => $in(Words::say('trade.sums.supply_air'), '°F', 118, 30, 250),
                    'plate_low_f' => $in(Words::say('trade.sums.least_rise_on_the_plate'), '°F', 35, 5, 150),
                    'plate_high_f' => $in(Words::say('trade.sums.most_rise_on_the_plate'), '°F', 65, 5, 150),
                ],
            ],
            'clocking' => [
                'title' => Words::say('trade.sums.clocking_the_gas_meter'),
                'formula' => Words::say('trade.sums.btu_h_3600_ft_a'),
                'source' => Words::say('trade.sums.derived_the_heating_value_is'),
                'inputs' => [
                    'cubic_feet' => $in(Words::say('trade.sums.one_turn_of_the_dial'), 'ft³', 1, 0.1, 10),
                    'seconds' => $in(Words::say('trade.sums.seconds_for_one_turn'), 's', 45, 1, 3600),
                    'btu_ft3' => $in(Words::say('trade.sums.heating_value'), 'Btu/ft³', 1020, 500, 3000),
                    'plate_btuh' => $in(Words::say('trade.sums.input_on_the_plate'), 'Btu/h', 80000, 1000, 500000),
                ],
            ],
            'transformer' => [
                'title' => Words::say('trade.sums.transformer_load'),
                'formula' => 'VA = V × A; share = VA ÷ rating',
                'source' => Words::say('trade.sums.derived_a_class_2_control'),
                'inputs' => [
                    'volts' => $in(Words::say('trade.sums.secondary_volts'), 'V', 26, 1, 300),
                    'amps' => $in(Words::say('trade.sums.secondary_amps'), 'A', 0.9, 0.01, 50),
                    'rating_va' => $in(Words::say('trade.sums.on_its_label'), 'VA', 40, 5, 1000),
                ],
            ],
            'wire' => [
                'title' => Words::say('trade.sums.volts_lost_in_a_wire'),
                'formula' => 'V = 2 × ft × A × Ω per 1000 ft ÷ 1000',
                'source' => Words::say('trade.sums.nfpa_70_nec_chapter_9'),
                'inputs' => [
                    'feet' => $in(Words::say('trade.sums.one_way'), 'ft', 50, 0.1, 5000),
                    'amps' => $in('Amps', 'A', 0.5, 0.001, 100),
                    'awg' => ['choices' => self::GAUGES] + $in('Size', 'AWG', 18, 10, 22),
                    'volts' => $in(Words::say('trade.sums.volts_at_its_beginning'), 'V', 25, 1, 600),
                ],
            ],
            'flame' => [
                'title' => Words::say('trade.sums.flame_loop'),
                'formula' => 'µA = 10⁶ × √2 × V ÷ (π × Ω)',
                'source' => Words::say('trade.sums.mean_of_a_half_wave'),
                'inputs' => [
                    'volts' => $in(Words::say('trade.sums.volts_ac_on_the_rod'), 'V', 100, 10, 300),
                    'megohms' => $in(Words::say('trade.sums.flame_and_feed_in_series'), 'MΩ', 15, 0.1, 500),
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
        $known = self::all()[$sum] ?? throw new \DomainException(Words::say('trade.sums.there_is_no_sum', [
            'sum' => $sum,
        ]));
        foreach ($known['inputs'] as $name => $input) {
            if (! isset($with[$name]) && in_array($name, self::BY_PLATE, true)) {
                continue;
            }
            $value = $with[$name] ?? throw new \DomainException(Words::say('trade.sums.a_figure_is_missing', [
                'label' => $input['label'],
            ]));
            if (
                $value < $input['least'] ||
                $value > $input['most'] ||
                (isset($input['choices']) && ! in_array($value, $input['choices'], true))
            ) {
                throw new \DomainException(
                    "{$input['label']}: ".
                        (isset($input['choices'])
                            ? Words::say('trade.sums.one_of', ['choices' => implode(', ', $input['choices'])])
                            : Words::say('trade.sums.from_to', [
                                'least' => $input['least'],
                                'most' => $input['most'],
                                'unit' => $input['unit'],
                            ])).
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
                $out(Words::say('trade.sums.off_its_label'), 100 * ($uf / $with['label_uf'] - 1), '%'),
            ],
            'rise' => self::rise($with, $out),
            'clocking' => [
                $out('Input', $input = 3600 * $with['cubic_feet'] / $with['seconds'] * $with['btu_ft3'], 'Btu/h', 0),
                $out('Flow', (3600 * $with['cubic_feet']) / $with['seconds'], 'ft³/h'),
                ...isset($with['plate_btuh'])
                    ? [$out(Words::say('trade.sums.of_the_input_on_the'), 100 * $input / $with['plate_btuh'], '%')]
                    : [],
            ],
            'transformer' => [
                $out('Load', $with['volts'] * $with['amps'], 'VA'),
                $out(
                    Words::say('trade.sums.of_its_rating'),
                    (100 * $with['volts'] * $with['amps']) / $with['rating_va'],
                    '%',
                    0,
                ),
            ],
            'wire' => [
                $out(
                    Words::say('trade.sums.lost_there_and_back'),
                    $lost = $with['amps'] * Conductor::ohms((int) $with['awg'], 2 * $with['feet'], 75.0),
                    'V',
                    2,
                ),
                $out(Words::say('trade.sums.left_at_its_end'), $with['volts'] - $lost, 'V', 2),
                $out(Words::say('trade.sums.share_lost'), (100 * $lost) / $with['volts'], '%'),
            ],
            default => [
                $out(
                    Words::say('trade.sums.flame_current'),
                    M_SQRT2 * $with['volts'] / (M_PI * $with['megohms']),
                    'µA',
                    2,
                ),
            ],
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
            throw new \DomainException(Words::say('trade.sums.supply_air_it_must_be'));
        }

        return [
            $out('Rise', $rise, '°F'),
            $out(
                Words::say('trade.sums.air_moved'),
                ($with['input_btuh'] * $with['efficiency']) / 100 / (Units::AIR_BTU_H_PER_CFM_F * $rise),
                'CFM',
                0,
            ),
            ...isset($with['plate_low_f'])
                ? [$out(Words::say('trade.sums.above_the_least_on_the'), $rise - $with['plate_low_f'], '°F')]
                : [],
            ...isset($with['plate_high_f'])
                ? [$out(Words::say('trade.sums.below_the_most_on_the'), $with['plate_high_f'] - $rise, '°F')]
                : [],
        ];
    }
}
