<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\CallsForHeat;
use OddSpark\Words\Words;

/**
 * What a model does not say and what follows from the parts on its board: who is served and what they notice, the lanes
 * of its tape, a visit, the faults of its wires. What the model does say stands.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type KindDocument from Shapes
 * @phpstan-import-type HouseholdDocument from Shapes
 * @phpstan-import-type Requirement from \OddSpark\Parts\Condition
 * @phpstan-type Call array{wants?: int|float, calls: Requirement, display?: string}
 */
final readonly class Usual
{
    /** Wire faults that every model can have; a wire names those of them that it does have. */
    public const WIRE_MODES = [
        'open' => ['title' => 'broken inside', 'set' => ['body.open' => true], 'weight' => 0.25, 'repair' => 'wire'],
        'loose' => [
            'title' => 'loose under its screw at the far end',
            'set' => ['body.extra_ohm' => 5],
            'weight' => 0.15,
            'repair' => 'set',
        ],
        'rubs' => [
            'title' => 'rubbed through to the cabinet',
            'set' => ['body.rubs_ohm' => 0.05],
            'weight' => 0.25,
            'repair' => 'wire',
        ],
        'touches' => [
            'title' => 'insulation cut, touches the conductor beside it',
            'set' => ['body.rubs_ohm' => 0.05],
            'weight' => 0.3,
            'repair' => 'wire',
        ],
        'gnawed' => [
            'title' => 'gnawed through: broken, its far end bare against the conductor beside it',
            'set' => ['body.open' => true, 'body.rubs_ohm' => 0.05],
            'weight' => 0.2,
            'repair' => 'wire',
        ],
        'poor' => [
            'title' => 'poor connection at its far end',
            'set' => ['body.extra_ohm' => 200000000],
            'weight' => 0.4,
            'repair' => 'set',
        ],
    ];

    /** A visit when nothing is said of any: it ran as it stands, and nobody touched it. */
    private const VISIT = [
        'title' => 'As it was left: nobody has touched it',
        'notices_s' => 3600,
        'household' => [],
        'arrives' => ['after_s' => 60],
    ];

    private const LANES = 24;

    private const LETTERS = 24;

    /** @param ModelDocument $d with its kinds */
    private function __construct(private array $d) {}

    /**
     * @param ModelDocument $document with its kinds, its pipes laid
     * @return ModelDocument
     */
    public static function filled(array $document): array
    {
        $document['process'] ??= [];
        $document['universe'] ??= ['wire_modes' => self::WIRE_MODES];
        if (($document['visits'] ?? []) === []) {
            $document['visits'] = ['as-it-stands' => self::VISIT];
        }
        $usual = new self($document);
        $document['household'] ??= $usual->household();
        if (($document['tape'] ?? []) === []) {
            $document['tape'] = $usual->tape();
        }

        return $document;
    }

    /** @return HouseholdDocument */
    private function household(): array
    {
        $calls = $this->calls();
        $household = ['rooms' => $this->rooms($calls), 'heat' => [], 'cycle' => []];
        foreach ($this->d['parts'] as $part) {
            $kind = $this->d['kinds'][$part['kind']];
            $water = $kind['serves']['hot_water'] ?? null;
            if ($water !== null) {
                $of = "{$part['id']}.{$water['of']}";
                $household['hot_water'] ??= ['of' => $of] + $water +
                    array_intersect_key($calls[$of] ?? [], ['calls' => 1]);
            }
            if (isset($kind['serves']['boiler'])) {
                $household['boiler'] ??= "{$part['id']}.{$kind['serves']['boiler']['of']}";
            }
            if (isset($kind['serves']['radiator'])) {
                $household['radiators'][] = "{$part['id']}.{$kind['serves']['radiator']['of']}";
            }
            if (in_array('oil', array_column($kind['primitives'], 'fuel'), true)) {
                $household['fuel'] = 'oil';
            }
            foreach ($kind['percepts'] ?? [] as $name => $percept) {
                $channel = "{$part['id']}.$name";
                $says = array_map('strval', array_keys($percept['say']));
                $type = $kind['primitives'][$percept['of']]['type'] ?? '';
                if (is_a(Primitives::TYPES[$type] ?? '', Burns::class, true)) {
                    if ($kind['family'] !== Family::Pilot->value) { // a pilot heats nobody
                        $household['heat'][$channel] = array_values(array_diff($says, ['', 'gas']));
                    }
                    $household['smell'][$channel] = array_values(array_intersect($says, ['gas']));
                    $household['fumes'][$channel] = array_values(array_intersect($says, ['soots', 'spills']));
                } elseif ($percept['sense'] === 'hearing' && array_intersect(['hums', 'runs'], $says) !== []) {
                    if (in_array('hums', $says, true)) {
                        $household['hum'][$channel] = ['hums'];
                    }
                    if ($kind['family'] === Family::Blower->value) {
                        $household['air'][$channel] = array_values(array_intersect($says, ['runs', 'slow']));
                    }
                }
            }
        }
        $household['cycle'] = $household['air'] ?? $household['heat'];
        if (! isset($household['air'])) {
            $household['comes_and_goes'] = true;
        }

        return array_filter(
            $household,
            fn (mixed $v, string $key): bool => $v !== [] || in_array($key, ['rooms', 'heat', 'cycle'], true),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * Who calls for heat, by what he feels.
     *
     * @return array<string, Call>
     */
    private function calls(): array
    {
        $calls = [];
        foreach ($this->d['parts'] as $part) {
            foreach ($this->d['kinds'][$part['kind']]['primitives'] as $name => $spec) {
                $class = Primitives::TYPES[$spec['type']] ?? '';
                if (is_a($class, CallsForHeat::class, true)) {
                    $felt = $spec['of'] ?? $spec['room'] ?? '';
                    $felt = str_starts_with($felt, '@') ? $part['links'][substr($felt, 1)] ?? '' : $felt;
                    // what is wanted is what the thermostat is set to
                    $set = $spec['set'] ?? '';
                    $lever = $this->d['kinds'][$part['kind']]['primitives'][$set] ?? [];
                    $at = $part['params'][$set]['at'] ?? $lever['at'] ?? null;
                    $calls[$felt] ??= (is_numeric($at) ? ['wants' => $at] : []) + [
                        'calls' => ['by' => "{$part['id']}.$name", 'key' => $class::callKey()],
                    ] + ($class::isDisplay() ? ['display' => "{$part['id']}.$name"] : []);
                }
            }
        }

        return $calls;
    }

    /**
     * The rooms on the board that a thermostat calls for.
     *
     * @param array<string, Call> $calls
     * @return list<array{name: string, of: string, wants: int|float, display?: string, calls: Requirement}>
     */
    private function rooms(array $calls): array
    {
        $rooms = [];
        foreach ($this->d['parts'] as $part) {
            $room = $this->d['kinds'][$part['kind']]['serves']['room'] ?? null;
            $of = "{$part['id']}.".($room['of'] ?? '');
            if ($room !== null && isset($calls[$of])) {
                $rooms[] = ['name' => Words::say('appliance.usual.in', [
                    'label' => $part['label'],
                ]), 'of' => $of] + $calls[$of] + ['wants' => $room['wants']];
            }
        }

        return $rooms;
    }

    /** @return list<array{channel: string, name: string, tone: string}> */
    private function tape(): array
    {
        $lanes = [];
        foreach ($this->d['parts'] as $part) {
            $kind = $this->d['kinds'][$part['kind']];
            foreach ($kind['percepts'] ?? [] as $name => $percept) {
                if (in_array($percept['from'], ['look', 'off'], true) || ! in_array(
                    $percept['sense'],
                    ['sight', 'hearing'],
                    true,
                )) {
                    continue;
                }
                $lanes[] = [
                    'channel' => "{$part['id']}.$name",
                    'name' => mb_substr($part['label'], 0, self::LETTERS),
                    'tone' => Family::from($kind['family'])->tone(),
                ];
                break;
            }
        }

        return array_slice($lanes, 0, self::LANES);
    }
}
