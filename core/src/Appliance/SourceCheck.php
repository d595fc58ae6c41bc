<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * Whether a source is shorted, or two that differ are tied together, with no load or switch in between.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 */
final class SourceCheck
{
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
        $check->conductors();
        $check->sources();
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
