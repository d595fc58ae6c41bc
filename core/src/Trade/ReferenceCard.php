<?php

declare(strict_types=1);

namespace OddSpark\Trade;

use OddSpark\Words\Words;

/**
 * Values that a technician holds his readings against. Where no source is named they are common practice, no source.
 */
final class ReferenceCard
{
    /** @return list<array{title: string, rows: list<array{what: string, value: string, source: string}>}> */
    public static function groups(): array
    {
        $row = fn (string $what, string $value, ?string $source = null): array => [
            'what' => $what,
            'value' => $value,
            'source' => $source ?? Words::say('trade.reference_card.common_practice'),
        ];

        return [
            [
                'title' => Words::say('trade.reference_card.supply_and_control_volts'),
                'rows' => [
                    $row('24 V circuit', Words::say('trade.reference_card.24_to_28_v_healthy')),
                    $row(
                        Words::say('trade.reference_card.ghost_on_an_open_low'),
                        Words::say('trade.reference_card.some_3_to_4_v'),
                    ),
                    $row(
                        Words::say('trade.reference_card.neutral_to_ground_at_the'),
                        Words::say('trade.reference_card.under_0_1_v_good'),
                    ),
                    $row(
                        Words::say('trade.reference_card.supply_europe'),
                        Words::say('trade.reference_card.230_v_10_240_v'),
                        Words::say('trade.reference_card.en_50160_from_memory'),
                    ),
                    $row(
                        Words::say('trade.reference_card.class_2_transformer'),
                        Words::say('trade.reference_card.24_v_not_above_100'),
                        Words::say('trade.reference_card.nfpa_70_art_725_ch'),
                    ),
                ],
            ],
            [
                'title' => Words::say('trade.reference_card.ignition_and_flame'),
                'rows' => [
                    $row(
                        Words::say('trade.reference_card.igniter_cold_silicon_carbide'),
                        Words::say('trade.reference_card.40_to_90_ol_is'),
                    ),
                    $row(
                        Words::say('trade.reference_card.rod_to_ground'),
                        Words::say('trade.reference_card.50_to_180_v_ac'),
                    ),
                    $row(
                        Words::say('trade.reference_card.flame_current'),
                        Words::say('trade.reference_card.2_to_10_a_about'),
                    ),
                    $row('Thermopile', Words::say('trade.reference_card.300_mv_with_the_pilot')),
                    $row(Words::say('trade.reference_card.spark_gap'), Words::say('trade.reference_card.7_64_to_1_8')),
                ],
            ],
            [
                'title' => Words::say('trade.reference_card.gas_draft_and_air'),
                'rows' => [
                    $row(Words::say('trade.reference_card.manifold_natural_gas'), '3.3 to 3.8 in. w.c., 3.5 usual'),
                    $row(Words::say('trade.reference_card.manifold_propane'), '10 to 11 in. w.c.; supply 11 to 13'),
                    $row(
                        Words::say('trade.reference_card.pressure_switch_of_an_80'),
                        Words::say('trade.reference_card.makes_at_a_few_tenths'),
                    ),
                    $row(
                        Words::say('trade.reference_card.burner_rate'),
                        Words::say('trade.reference_card.about_20_000_btu_h'),
                    ),
                    $row(
                        Words::say('trade.reference_card.fan_and_limit'),
                        Words::say('trade.reference_card.fan_on_at_130_to'),
                    ),
                ],
            ],
            [
                'title' => 'Times',
                'rows' => [
                    $row(
                        Words::say('trade.reference_card.blower_on'),
                        Words::say('trade.reference_card.30_to_60_s_after'),
                    ),
                    $row('Ignition', Words::say('trade.reference_card.three_tries_then_lockout')),
                    $row(
                        Words::say('trade.reference_card.zone_panel'),
                        Words::say('trade.reference_card.4_to_5_min_before'),
                    ),
                    $row(
                        Words::say('trade.reference_card.limit_with_the_blower_lead'),
                        Words::say('trade.reference_card.trips_within_some_4_to'),
                    ),
                ],
            ],
            [
                'title' => Words::say('trade.reference_card.letters_and_colours'),
                'rows' => [
                    $row(
                        'Thermostat',
                        Words::say('trade.reference_card.r_supply_w_heat_y'),
                        Words::say('trade.reference_card.nema_dc_3_from_memory'),
                    ),
                    $row(
                        Words::say('trade.reference_card.conductors_north_america'),
                        Words::say('trade.reference_card.white_or_grey_neutral_green'),
                        Words::say('trade.reference_card.nfpa_70_art_200_250'),
                    ),
                    $row(
                        Words::say('trade.reference_card.conductors_europe'),
                        Words::say('trade.reference_card.brown_line_blue_neutral_green'),
                        Words::say('trade.reference_card.iec_60445_from_memory'),
                    ),
                    $row(
                        Words::say('trade.reference_card.blower_speed_taps'),
                        Words::say('trade.reference_card.black_high_blue_medium_orange'),
                    ),
                    $row(
                        Words::say('trade.reference_card.run_capacitor'),
                        Words::say('trade.reference_card.5_7_5_10_f'),
                    ),
                ],
            ],
        ];
    }
}
