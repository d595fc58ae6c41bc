<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/**
 * Values that a technician holds his readings against. Where no source is named they are common practice, no source.
 */
final class ReferenceCard
{
    private const PRACTICE = 'common practice, no source';

    /** @return list<array{title: string, rows: list<array{what: string, value: string, source: string}>}> */
    public static function groups(): array
    {
        $row = fn (string $what, string $value, string $source = self::PRACTICE): array => [
            'what' => $what,
            'value' => $value,
            'source' => $source,
        ];

        return [
            [
                'title' => 'Supply and control volts',
                'rows' => [
                    $row('24 V circuit', '24 to 28 V healthy; high twenties when lightly loaded'),
                    $row(
                        'Ghost on an open low-voltage conductor',
                        'some 3 to 4 V mean nothing; check at low impedance',
                    ),
                    $row(
                        'Neutral to ground at the control, large loads off',
                        'under 0.1 V good, half a volt suspicious',
                    ),
                    $row('Supply, Europe', '230 V, ±10 %; 240 V is an everyday reading', 'EN 50160, from memory'),
                    $row(
                        'Class 2 transformer',
                        '24 V, not above 100 VA',
                        'NFPA 70 art. 725, ch. 9 table 11, from memory',
                    ),
                ],
            ],
            [
                'title' => 'Ignition and flame',
                'rows' => [
                    $row('Igniter cold, silicon carbide', '40 to 90 Ω; OL is broken'),
                    $row('Rod to ground', '50 to 180 V AC whenever the control is powered: not to be touched'),
                    $row(
                        'Flame current',
                        '2 to 10 µA; about 1.8 the lowest accepted; 0.2 to 0.3 when the rod is out of place',
                    ),
                    $row('Thermopile', '300 mV with the pilot on'),
                    $row('Spark gap', '7/64 to 1/8 in, about 10 kV'),
                ],
            ],
            [
                'title' => 'Gas, draft and air',
                'rows' => [
                    $row('Manifold, natural gas', '3.3 to 3.8 in. w.c., 3.5 usual'),
                    $row('Manifold, propane', '10 to 11 in. w.c.; supply 11 to 13'),
                    $row(
                        'Pressure switch of an 80 % unit',
                        'makes at a few tenths in. w.c.; three to four times that when running',
                    ),
                    $row('Burner rate', 'about 20,000 Btu/h a burner'),
                    $row('Fan and limit', 'fan on at 130 to 140 °F; limit off near 200 °F'),
                ],
            ],
            [
                'title' => 'Times',
                'rows' => [
                    $row('Blower on', '30 to 60 s after the flame'),
                    $row('Ignition', 'three tries, then lockout'),
                    $row('Zone panel', '4 to 5 min before the equipment is asked'),
                    $row('Limit with the blower lead lifted', 'trips within some 4 to 5 min'),
                ],
            ],
            [
                'title' => 'Letters and colours',
                'rows' => [
                    $row('Thermostat', 'R supply, W heat, Y cooling, G fan, C common', 'NEMA DC 3, from memory'),
                    $row(
                        'Conductors, North America',
                        'white or grey neutral, green or bare ground',
                        'NFPA 70 art. 200, 250, from memory',
                    ),
                    $row(
                        'Conductors, Europe',
                        'brown line, blue neutral, green-yellow protective',
                        'IEC 60445, from memory',
                    ),
                    $row('Blower speed taps', 'black high, blue medium, orange medium-low, red low'),
                    $row('Run capacitor', '5, 7.5, 10 µF; within 6 % of its label is good'),
                ],
            ],
        ];
    }
}
