<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Shapes;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * Edits of wires: drawn, changed, landed elsewhere, led by hand, bundled, and whole lists of them.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type WireDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class WireEdits
{
    /** Colours of thermostat wire by the letter of its terminal; common practice, no source. */
    private const LETTERS = [
        'R' => 'red',
        'RH' => 'red',
        'C' => 'blue',
        'W' => 'white',
        'W1' => 'white',
        'Y' => 'yellow',
        'G' => 'green',
    ];

    /** Colours for what has none by rule, each in its turn, so that neighbours differ. */
    private const TURNS = [
        'NA' => ['orange', 'brown', 'violet', 'yellow', 'red', 'blue'],
        'EU' => ['orange', 'grey', 'violet', 'white', 'red', 'black'],
    ];

    public function __construct(private Library $library) {}

    /**
     * @param ModelDocument $d
     * @param Edit $e checked
     * @return ModelDocument
     *
     * @throws EditError|DocumentError
     */
    public function apply(array $d, array $e): array
    {
        return match ($e['do']) {
            'wire' => $this->wire($d, $e),
            'rewire' => WireChange::of(
                $d,
                $e['wire'],
                fn (array $w) => self::measured(
                    array_filter( // what it lies against may be nothing
                        array_filter(array_diff_key($e, ['do' => 1, 'wire' => 1]), fn ($v) => $v !== null) + $w,
                        fn ($v, $key) => $key !== 'near' || $v !== 'nothing',
                        ARRAY_FILTER_USE_BOTH,
                    ),
                    $e,
                ),
            ),
            'land' => WireChange::of(
                $d,
                $e['wire'],
                fn (array $w) => [$e['end'] === 'a' ? 'from' : 'to' => $e['on']] +
                    array_diff_key($w, ['via' => 1, 'near' => 1]),
            ),
            'route' => WireChange::of(
                $d,
                $e['wire'],
                fn (array $w) => ($e['via'] ?? []) === []
                    ? array_diff_key($w, ['via' => 1])
                    : ['via' => array_map(fn (array $p) => [(int) round($p[0]), (int) round($p[1])], $e['via'])] + $w,
            ),
            'cable' => (new CableEdits())->cable($d, $e),
            default => (new WireList($this->library))->into($d, $e['csv']),
        };
    }

    /**
     * The next free name for a wire.
     *
     * @param ModelDocument $d
     */
    public static function next(array $d): string
    {
        $taken = array_fill_keys([...array_column($d['wires'], 'id'), ...array_column($d['parts'], 'id')], true);
        for ($i = count($d['wires']) + 1; isset($taken[sprintf('w%02d', $i)]); $i++);

        return sprintf('w%02d', $i);
    }

    /**
     * @param ModelDocument $d
     * @param Edit $e
     * @return ModelDocument
     */
    private function wire(array $d, array $e): array
    {
        if ($e['from'] === $e['to']) {
            throw new EditError('/to', Words::say('building.wire_edits.a_wire_goes_from_one'));
        }
        foreach ($d['wires'] as $wire) {
            if (in_array([$wire['from'], $wire['to']], [[$e['from'], $e['to']], [$e['to'], $e['from']]], true)) {
                throw new EditError('/to', Words::say('building.wire_edits.there_is_a_wire_between', [
                    'id' => $wire['id'],
                ]));
            }
        }
        $id = $e['id'] ?? self::next($d);
        if (PartEdits::free($d, $id) !== $id) {
            throw new EditError('/id', Words::say('building.wire_edits.something_is_called_already', [
                'id' => $id,
            ]));
        }
        $modes = isset($d['universe']['wire_modes']['open']) ? ['modes' => ['open']] : [];
        $d['wires'][] = self::measured(
            [
                'id' => $id,
                'from' => $e['from'],
                'to' => $e['to'],
                'colour' => $e['colour'] ?? $this->colour($d, $e['from'], $e['to']),
            ] +
                array_filter(
                    array_intersect_key($e, [
                        'awg' => 1,
                        'feet' => 1,
                        'mm2' => 1,
                        'metres' => 1,
                        'tag' => 1,
                        'modes' => 1,
                        'near' => 1,
                    ]),
                    fn ($v) => $v !== null,
                ) +
                $modes,
            $e + $this->usual($d, $e['from'], $e['to']),
        );

        return $d;
    }

    /**
     * A wire with one gauge and its length: of the two ways the one that was asked for last.
     *
     * @param WireDocument $wire
     * @param array{awg?: int|float, feet?: int|float, mm2?: int|float, metres?: int|float, ...} $asked where gauge
     *     and length are asked for
     * @return WireDocument
     */
    private static function measured(array $wire, array $asked): array
    {
        $metric =
            isset($asked['mm2']) ||
            isset($asked['metres']) ||
            (! isset($asked['awg']) && ! isset($asked['feet']) && isset($wire['mm2']));
        [$gauge, $length, $otherGauge, $otherLength] = $metric
            ? ['mm2', 'metres', 'awg', 'feet']
            : ['awg', 'feet', 'mm2', 'metres'];
        $lengthBefore = isset($wire[$otherLength])
            ? ($metric
                ? $wire[$otherLength] * 0.3048
                : $wire[$otherLength] / 0.3048)
            : null;
        unset($wire[$otherGauge], $wire[$otherLength]);

        return $wire + [
            $gauge => $asked[$gauge] ?? ($metric ? 0.75 : 18),
            $length => $asked[$length] ?? round($lengthBefore ?? ($metric ? 1.0 : 3.0), 2),
        ];
    }

    /**
     * What a wire between two places usually is: house wiring before the appliance, thinner within it.
     *
     * @param ModelDocument $d
     * @return array<string, int|float>
     */
    private function usual(array $d, string $from, string $to): array
    {
        $kinds = array_column($d['parts'], 'kind', 'id');
        $house = 0;
        foreach ([$from, $to] as $place) {
            $kind = $kinds[Model::split($place)[0]] ?? null;
            $house +=
                $kind !== null &&
                Kind::of($kind, $d['kinds'][$kind] ?? $this->library->kind($kind))->family->isHouseWiring()
                    ? 1
                    : 0;
        }
        $metric = $d['supply']['region'] === 'EU';

        return $house > 0
            ? ($metric
                ? ['mm2' => 1.5, 'metres' => 3.0]
                : ['awg' => 14, 'feet' => 10])
            : ($metric
                ? ['mm2' => 0.75, 'metres' => 1.0]
                : ['awg' => 18, 'feet' => 3]);
    }

    /** @param ModelDocument $d */
    private function colour(array $d, string $from, string $to): string
    {
        $nets = new Nets($this->library->draft($d));
        $region = $d['supply']['region'];
        $own = [$nets->root($from), $nets->root($to)];
        foreach ($nets->grounds() as $ground) {
            if (in_array($nets->root($ground['place']), $own, true)) {
                return $region === 'EU' ? 'green-yellow' : 'green';
            }
        }
        foreach ([Model::split($from)[1], Model::split($to)[1]] as $terminal) {
            if (in_array($terminal, ['frame', 'metal', 'PE', 'GNYE', 'screw'], true)) {
                return $region === 'EU' ? 'green-yellow' : 'green';
            }
        }
        foreach ($nets->supplies() as $supply) {
            $isLeg =
                array_filter(
                    $nets->supplies(),
                    fn (array $s) => $s['class'] === 'line' && $nets->root($s['hot']) === $nets->root(
                        $supply['return'],
                    ),
                ) !== [];
            $isReturn = ! $isLeg && in_array($nets->root($supply['return']), $own, true);
            $isLive =
                array_intersect_key(
                    $nets->reached($nets->root($supply['hot']), [$nets->root($supply['return'])]),
                    array_flip($own),
                ) !== [];
            $colour = match (true) {
                $supply['class'] === 'line' && $isReturn => $region === 'EU' ? 'blue' : 'white',
                $supply['class'] === 'line' && $isLive => $region === 'EU' ? 'brown' : 'black',
                $supply['class'] === 'millivolt' && $isReturn => 'bare',
                $supply['class'] === 'millivolt' && $isLive => 'orange',
                $supply['class'] === 'control' && $isReturn => 'blue',
                default => null,
            };
            if ($colour !== null) {
                return $colour;
            }
        }
        foreach ([$from, $to] as $place) {
            $letter = strtoupper(Model::split($place)[1]);
            if (isset(self::LETTERS[$letter])) {
                return self::LETTERS[$letter];
            }
        }
        foreach ($d['wires'] as $wire) { // one that goes on from another keeps its colour
            if (array_intersect([$nets->root($wire['from'])], $own) !== []) {
                return $wire['colour'];
            }
        }

        return self::TURNS[$region][count($d['wires']) % count(self::TURNS[$region])];
    }
}
