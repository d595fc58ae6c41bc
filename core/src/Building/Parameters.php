<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Guarded;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Spec;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Primitive;

/**
 * The figures of a part that can be set, with their units, what is usual, and how far they may go: as its primitives
 * have them.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Parameters
{
    /**
     * @param array<string, Figures> $params what a part has otherwise, by primitive
     * @param string $region NA or EU: degrees are as there
     * @return list<array{primitive: string, key: string, label: string, unit: string, usual: int|float|string|bool,
     *     value: int|float|string|bool, least: float|null, most: float|null, choices: list<string>|null,
     *     varies: bool}>
     */
    public static function of(Kind $kind, array $params = [], string $region = 'NA'): array
    {
        $all = [];
        foreach ($kind->primitives as $name => $spec) {
            $figures = array_column($spec->figures(), null, 'key');
            foreach (array_intersect_key($spec->values, $figures) as $key => $usual) {
                $figure = $figures[$key];
                $number = is_int($usual) || is_float($usual);
                [$least, $most] = $number ? self::range($figure, $spec, (float) $usual) : [null, null];
                $all[] = [
                    'primitive' => $name,
                    'key' => $key,
                    'label' => ucfirst(str_replace('_', ' ', $name)).': '.$figure->label(),
                    'unit' => $number ? self::unit($figure, $kind, $spec, $region) : '',
                    'usual' => $usual,
                    'value' => $params[$name][$key] ?? $usual,
                    'least' => $least,
                    'most' => $most,
                    'varies' => $figure->varies,
                    'choices' => $key === 'at' && $spec->positions() !== [] ? $spec->positions() : null,
                ];
            }
        }

        return $all;
    }

    /** @return array{float, float} */
    private static function range(Figure $figure, Spec $spec, float $usual): array
    {
        $given = $figure->key === 'at' ? $spec->get('range') : null; // a lever in its slot

        return $given === null ? $figure->range($usual) : [(float) $given[0], (float) $given[1]];
    }

    /** Some units follow from where the appliance stands, and from what a sensor feels. */
    private static function unit(Figure $figure, Kind $kind, Spec $spec, string $region): string
    {
        $degrees = $region === 'EU' ? '°C' : '°F';

        return match ($figure->unit) {
            Figure::DEGREES => $degrees,
            Figure::AS_FELT => match ($kind->family->guards()) {
                Guarded::Heat, Guarded::Rollout => $degrees,
                Guarded::Draught => 'in. w.c.', // what the run computes in, everywhere
                default => '',
            },
            Figure::OF_HEAT_HELD => $region === 'EU' ? 'Wh/K' : 'Btu/°F',
            Figure::OF_HEAT_PER_DEGREE => $region === 'EU' ? 'W/K' : 'Btu/h·°F',
            Figure::OF_FLOW => self::medium($kind, $spec)?->flowUnit($region) ?? '',
            Figure::OF_PRESSURE => self::medium($kind, $spec)?->pressureUnit($region) ?? '',
            default => $figure->unit,
        };
    }

    /** What flows through a run, by the port that it leads from or to. */
    private static function medium(Kind $kind, Spec $spec): ?Medium
    {
        return ($kind->ports[$spec->get('from') ?? ''] ?? $kind->ports[$spec->get('to') ?? ''] ?? null)?->medium;
    }
}
