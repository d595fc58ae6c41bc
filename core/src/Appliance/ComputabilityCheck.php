<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * Whether a model can be computed at all: figures that are figures, no source that its own wiring shorts,
 * no two sources that are tied together and want different volts.
 *
 * What is merely wrong with a wiring (a load without a path, a switched neutral) can be computed, and is
 * not said here.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 */
final class ComputabilityCheck
{
    /** Parameters of primitives that must be above zero, whatever the primitive. */
    private const POSITIVE = '/(^|_)(ohm|amps|microfarad|turns_ratio|volts|millivolts|tau_s|melt_s|overload_s|rated_v|full_v|pull_in_v|picofarad|btu_f|cfm)$/';

    /** No figure is larger, whatever its unit. */
    private const MOST = 1e12;

    /** Pairs of resistance and reactance in series. */
    private const PAIRS = ['run', 'locked', 'tap', 'start_ohms'];

    /** A resistance that joins rather than loads, Ω. */
    private const JOINS_OHM = 0.05;

    /** @var array<string, list<array{string, string}>> place => neighbours and what leads there */
    private array $next = [];

    /** @param ModelDocument $d a resolved document, meant as it says */
    private function __construct(private readonly array $d) {}

    /**
     * @param ModelDocument $document resolved
     *
     * @throws DocumentError that names the parts
     */
    public static function check(array $document): void
    {
        $check = new self($document);
        $check->links();
        $check->figures();
        $check->conductors();
        $check->sources();
    }

    /** What a kind asks for by name, each part has to answer. */
    private function links(): void
    {
        foreach ($this->d['parts'] as $i => $part) {
            foreach (
                array_diff(
                    Kind::of($part['kind'], $this->d['kinds'][$part['kind']])->asks(),
                    array_keys($part['links'] ?? []),
                ) as $name
            ) {
                throw new DocumentError("/parts/$i/links", $this->unlinked($part, $name));
            }
        }
    }

    /** @param PartDocument $part */
    private function unlinked(array $part, string $asks): string
    {
        foreach ($this->d['kinds'][$part['kind']]['ports'] ?? [] as $port => $p) {
            if (in_array($asks, [$p['link'] ?? '', $p['frame_link'] ?? '', $p['terminal_link'] ?? ''], true)) {
                $what = $p['label'] ?? $port;

                return Medium::from($p['medium'])->flows()
                    ? Words::say('appliance.computability_check.its_is_joined_to_nothing', [
                        'label' => $part['label'],
                        'what' => $what,
                    ])
                    : Words::say('appliance.computability_check.its_sits_nowhere_yet_join', [
                        'label' => $part['label'],
                        'what' => $what,
                    ]);
            }
        }

        return Words::say('appliance.computability_check.must_say_what_its_is', [
            'id' => $part['id'],
            'asks' => $asks,
        ]);
    }

    private function figures(): void
    {
        foreach ($this->d['kinds'] as $kind => $k) {
            foreach ($k['primitives'] as $name => $spec) {
                // a table's times are looked at with the table; the names of its inputs are anybody's
                $figures = array_diff_key($spec, ['table' => 1, 'inputs' => 1]);
                foreach ($figures + ['input' => array_values($spec['inputs'] ?? [])] as $key => $value) {
                    $this->figure("/kinds/$kind/primitives/$name/$key", "{$k['title']}, $name", (string) $key, $value);
                }
            }
            foreach ($k['modes'] as $mode => $m) {
                foreach ([$m['set'] ?? [], ...array_values($m['degrees'] ?? [])] as $set) {
                    foreach ($set as $path => $value) {
                        $words = explode('.', (string) $path);
                        $this->figure("/kinds/$kind/modes/$mode", "{$k['title']}, $mode", end($words), $value);
                    }
                }
            }
        }
        foreach ($this->d['parts'] as $i => $part) {
            foreach ($part['params'] ?? [] as $name => $params) {
                foreach ($params as $key => $value) {
                    $this->figure(
                        "/parts/$i/params/$name/$key",
                        "\"{$part['label']}\" ({$part['id']}), $name",
                        (string) $key,
                        $value,
                    );
                }
            }
        }
    }

    private function figure(string $pointer, string $what, string $key, mixed $value): void
    {
        if (in_array($key, self::PAIRS, true) && is_array($value)) {
            $this->figure("$pointer/0", $what, 'ohm', $value[0] ?? null);

            return;
        }
        if (is_array($value)) {
            foreach ($value as $k => $v) {
                $this->figure("$pointer/$k", $what, (string) $k, $v);
            }

            return;
        }
        if (is_float($value) && ! is_finite($value)) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.is_not_a_finite_number', [
                'what' => $what,
                'key' => $key,
            ]));
        }
        if ((is_int($value) || is_float($value)) && abs($value) > self::MOST) {
            throw new DocumentError(
                $pointer,
                Words::say('appliance.computability_check.is_far_too_large_at', [
                    'what' => $what,
                    'key' => $key,
                    'most' => self::MOST,
                    'value' => $value,
                ]),
            );
        }
        if (str_ends_with($key, '_ms') && (! is_int($value) || $value < 0)) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.must_be_a_whole_number', [
                'what' => $what,
                'key' => $key,
            ]));
        }
        if (preg_match(self::POSITIVE, $key) !== 1) {
            return;
        }
        if (! is_int($value) && ! is_float($value)) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.must_be_a_number', [
                'what' => $what,
                'key' => $key,
            ]));
        }
        if ($value <= 0) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.must_be_above_zero_it', [
                'what' => $what,
                'key' => $key,
                'value' => $value,
            ]));
        }
    }

    /** What is joined to what without any load or switch between. */
    private function conductors(): void
    {
        foreach ($this->d['parts'] as $part) {
            $kind = $this->d['kinds'][$part['kind']];
            foreach ($kind['joined'] ?? [] as $group) {
                $this->join(array_map(fn (string $t) => "{$part['id']}.$t", $group), "\"{$part['label']}\"");
            }
            foreach ($kind['primitives'] as $name => $spec) {
                if (
                    $spec['type'] === 'resistor' &&
                    ($part['params'][$name]['ohm'] ?? $spec['ohm']) <= self::JOINS_OHM
                ) {
                    $this->join(
                        array_map(fn (string $t) => "{$part['id']}.$t", $spec['between']),
                        "\"{$part['label']}\"",
                    );
                }
            }
        }
        foreach ($this->d['joined'] ?? [] as $group) {
            $this->join($group, Words::say('appliance.computability_check.what_is_joined'));
        }
        foreach ($this->d['wires'] as $wire) {
            $this->join([$wire['from'], $wire['to']], Words::say('appliance.computability_check.wire', [
                'id' => $wire['id'],
            ]));
        }
    }

    /** @param list<string> $places */
    private function join(array $places, string $by): void
    {
        foreach (array_slice($places, 1) as $place) {
            $this->next[$places[0]][] = [$place, $by];
            $this->next[$place][] = [$places[0], $by];
        }
    }

    private function sources(): void
    {
        $driven = []; // place => what drives it: part, volts, degrees
        foreach ($this->d['parts'] as $i => $part) {
            foreach ($this->d['kinds'][$part['kind']]['primitives'] as $name => $spec) {
                $spec = ($part['params'][$name] ?? []) + $spec;
                $at = fn (string $terminal): string => "{$part['id']}.$terminal";
                foreach (self::poles($spec) as [$one, $other]) {
                    $path = $this->path($at($one), $at($other));
                    if ($path !== null) {
                        throw new DocumentError(
                            "/parts/$i",
                            Words::say('appliance.computability_check.is_shorted_from_to_by', [
                                'label' => $part['label'],
                                'id' => $part['id'],
                                'one' => $one,
                                'other' => $other,
                                'path' => implode(', ', $path),
                            ]),
                        );
                    }
                }
                if ($spec['type'] === 'source') {
                    foreach (
                        $spec['legs'] ?? [
                            $spec['hot'] => ['volts' => $spec['volts'], 'degrees' => $spec['degrees'] ?? 0],
                        ] as $terminal => $leg
                    ) {
                        $driven[$at((string) $terminal)] = [
                            'part' => $part,
                            'at' => $i,
                            'volts' => (float) $leg['volts'],
                            'degrees' => (float) ($leg['degrees'] ?? 0),
                        ];
                    }
                }
            }
        }
        foreach ($driven as $place => $one) {
            foreach ($driven as $other => $two) {
                if ($place === $other || [$one['volts'], $one['degrees']] === [$two['volts'], $two['degrees']]) {
                    continue;
                }
                $path = $this->path($place, $other);
                if ($path !== null) {
                    throw new DocumentError(
                        "/parts/{$two['at']}",
                        Words::say('appliance.computability_check.and_are_tied_together_by', [
                            'place' => $place,
                            'other' => $other,
                            'path' => implode(', ', $path),
                            'volts' => sprintf('%g', $one['volts']),
                            'degrees' => sprintf('%g', $one['degrees']),
                            'volts_2' => sprintf('%g', $two['volts']),
                            'degrees_2' => sprintf('%g', $two['degrees']),
                        ]),
                    );
                }
            }
        }
    }

    /**
     * Pairs of terminals between which a primitive puts volts.
     *
     * @param Figures $spec
     * @return list<array{string, string}>
     */
    private static function poles(array $spec): array
    {
        return match ($spec['type']) {
            'dc-source', 'thermo-source' => [$spec['between']],
            'windings' => [$spec['secondary']],
            'source' => array_merge(...array_map(
                fn (string|int $leg) => [[(string) $leg, $spec['neutral']], [(string) $leg, $spec['ground']]],
                isset($spec['legs']) ? array_keys($spec['legs']) : [$spec['hot']],
            )),
            default => [],
        };
    }

    /**
     * @return list<string>|null what leads from one place to another without a load or a switch; null when nothing does
     */
    private function path(string $from, string $to): ?array
    {
        $came = [$from => null];
        $queue = [$from];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($this->next[$queue[$i]] ?? [] as [$place, $by]) {
                if (! array_key_exists($place, $came)) {
                    $came[$place] = [$queue[$i], $by];
                    $queue[] = $place;
                }
            }
        }
        if (! isset($came[$to])) {
            return null;
        }
        $path = [];
        for ($at = $to; $came[$at] !== null; $at = $came[$at][0]) {
            $path[] = $came[$at][1];
        }

        return array_values(array_unique(array_reverse($path)));
    }
}
