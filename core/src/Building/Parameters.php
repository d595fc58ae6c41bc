<?php

declare(strict_types=1);

namespace OddSpark\Building;

/** The figures of a part that can be set, with their units, what is usual, and how far they may go. */
final class Parameters
{
    /** Units by what a key ends in. */
    private const UNITS = [
        'rated_va' => 'VA', 'reactance_ohm' => 'Ω', 'megohm' => 'MΩ', 'ohm' => 'Ω', 'microfarad' => 'µF', 'picofarad' => 'pF', 'amps' => 'A', 'millivolts' => 'mV', 'volts' => 'V', '_ms' => 'ms', '_s' => 's', '_f' => '°F', '_v' => 'V',
        'btu_h' => 'Btu/h', 'cfm' => 'cfm', 'in_wc' => 'in. w.c.', 'turns_ratio' => ': 1', 'opens_at' => '', 'closes_at' => '', 'differential' => '°F', 'degrees' => '°', 'ma' => 'mA',
    ];

    /** How far from the usual a figure may be set: a tenth to ten times, and no further. */
    private const SPAN = 10.0;

    private const STRUCTURE = ['type', 'between', 'follows', 'key', 'when', 'table', 'inputs', 'overrides', 'of', 'room', 'set', 'primary', 'secondary', 'hot', 'neutral', 'ground', 'line', 'common', 'start', 'low_tap', 'legs', 'lit_by', 'rod', 'burner', 'positions', 'range'];

    /**
     * @param array<string, mixed> $kind
     * @param array<string, array<string, mixed>> $params what a part has otherwise
     * @return list<array{primitive: string, key: string, label: string, unit: string, usual: int|float|string|bool, value: int|float|string|bool, least: float|null, most: float|null, choices: list<string>|null}>
     */
    public static function of(array $kind, array $params = []): array
    {
        $all = [];
        foreach ($kind['primitives'] as $name => $spec) {
            foreach (array_diff_key($spec, array_flip(self::STRUCTURE)) as $key => $usual) {
                if (! is_scalar($usual)) {
                    continue;
                }
                $number = is_int($usual) || is_float($usual);
                [$least, $most] = $number ? self::range((float) $usual, $spec['range'] ?? null, (string) $key) : [null, null];
                $all[] = [
                    'primitive' => (string) $name, 'key' => (string) $key, 'label' => ucfirst(str_replace('_', ' ', (string) $name)).': '.self::label((string) $key), 'unit' => $number ? self::unit((string) $key, $spec) : '',
                    'usual' => $usual, 'value' => $params[$name][$key] ?? $usual, 'least' => $least, 'most' => $most, 'choices' => $key === 'at' ? $spec['positions'] ?? null : null,
                ];
            }
        }

        return $all;
    }

    /**
     * @param array{int|float, int|float}|null $given
     * @return array{float, float}
     */
    private static function range(float $usual, ?array $given, string $key): array
    {
        if ($given !== null && $key === 'at') {
            return [(float) $given[0], (float) $given[1]];
        }
        $ends = [$usual / self::SPAN, $usual * self::SPAN];

        return $usual == 0.0 ? [-1e6, 1e6] : [min($ends), max($ends)];
    }

    private static function label(string $key): string
    {
        return trim(str_replace('_', ' ', (string) preg_replace('/_(ohm|s|ms|f|v|amps|volts|microfarad)$/', '', $key)));
    }

    /** @param array<string, mixed> $spec */
    private static function unit(string $key, array $spec): string
    {
        if (in_array($key, ['opens_at', 'closes_at'], true)) {
            return abs($spec['opens_at'] ?? 0) < 5 ? 'in. w.c.' : '°F';
        }
        foreach (self::UNITS as $ending => $unit) {
            if (str_ends_with($key, $ending)) {
                return $unit;
            }
        }

        return '';
    }
}
