<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Carries;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Primitive\Source;
use OddSpark\Sequence\Table;
use OddSpark\Trade\Conductor;
use OddSpark\Words\Words;

/**
 * From a model to its plan: names become numbers, links become ids, wires and cables become primitives.
 *
 * @phpstan-import-type KindDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type WireDocument from Shapes
 * @phpstan-import-type PerceptDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 */
final class Compiler
{
    /** Keys of a primitive's spec that name another primitive, of the same part unless linked. */
    private const REFERENCES = [
        'follows', 'of', 'by', 'to', 'lever', 'lit_by', 'mode', 'set', 'fan', 'igniter', 'orifice', 'fire', 'air', 'motor',
        'warmed_by', 'sees', 'gas', 'stack', 'leaks', 'beside', 'opens_by',
    ];

    private readonly Places $places;

    /** @var array<string, array{type: string, spec: Figures, scope: string, local: list<string>}> */
    private array $primitives = [];

    /** @var array<string, true>|null parts that a pipe leads to */
    private ?array $piped = null;

    private function __construct(private readonly Model $model)
    {
        $this->places = new Places();
    }

    public static function compile(Model $model): Plan
    {
        return (new self($model))->plan();
    }

    private function plan(): Plan
    {
        $d = $this->model->document;
        $percepts = [];
        foreach ($d['parts'] as $part) {
            $this->part($part, $d['kinds'][$part['kind']]);
            foreach ($d['kinds'][$part['kind']]['percepts'] ?? [] as $name => $percept) {
                if (! $this->isPiped($part['id'], $d['kinds'][$part['kind']], $percept['of'])) {
                    continue;
                }
                $percepts["{$part['id']}.$name"] =
                    ['of' => "{$part['id']}.{$percept['of']}", 'part' => $part['id'], 'label' => $part['label']] +
                    $percept;
            }
        }
        foreach ($d['percepts'] ?? [] as $name => $percept) {
            $percepts[$name] = $percept + ['label' => $percept['thing']];
        }
        foreach ($d['joined'] ?? [] as $group) {
            $this->places->join($group);
        }
        foreach ($d['process'] as $id => $element) {
            $this->primitives[$id] = ['type' => $element['type'], 'spec' => $element, 'scope' => '', 'local' => []];
        }
        $this->pipes();
        foreach ($d['wires'] as $wire) {
            $this->wire($wire);
        }
        foreach ($d['cables'] ?? [] as $cable) {
            $this->primitives += Cables::couplings($cable, $this->model->document['wires']);
        }

        return (new Numbering($this->model, $this->places))->plan($this->primitives, $percepts);
    }

    /**
     * Whether a primitive has the pipes that it needs.
     *
     * @param KindDocument $kind
     */
    private function isPiped(string $part, array $kind, string $primitive): bool
    {
        $type = $kind['primitives'][$primitive]['type'] ?? null;

        return $type === null ||
            ! is_a(Primitives::TYPES[$type], NeedsPipes::class, true) ||
            isset($this->piped()[$part]);
    }

    /** @return array<string, true> parts that a pipe leads to */
    private function piped(): array
    {
        if ($this->piped === null) {
            $this->piped = [];
            foreach ($this->model->document['pipes'] ?? [] as $pipe) {
                $this->piped[Model::split($pipe['from'])[0]] = $this->piped[Model::split($pipe['to'])[0]] = true;
            }
        }

        return $this->piped;
    }

    /** Tells those that pipes lead to what network they belong to, and those that sit somewhere what is there. */
    private function pipes(): void
    {
        $at = [];
        foreach ($this->model->document['process'] as $id => $element) {
            if ($element['type'] !== 'network') {
                continue;
            }
            $supply = null;
            foreach ($element['runs'] as $i => [$run]) {
                $this->primitives[$run]['spec'] += ['network' => $id, 'index' => $i];
                $supply ??= $this->primitives[$run]['type'] === 'source-pipe' ? $run : null;
            }
            foreach ($supply === null ? [] : $element['runs'] as [$run]) {
                if ($this->primitives[$run]['type'] === 'orifice') {
                    $this->primitives[$run]['spec'] += ['supply' => $supply];
                }
            }
            $stores = array_values(array_unique(array_column($element['holds'] ?? [], 0)));
            foreach ($stores as $store) {
                $this->primitives[$store]['spec']['networks'][] = $id;
                $this->primitives[$store]['spec']['stores'] = [
                    ...$this->primitives[$store]['spec']['stores'] ?? [],
                    ...$stores,
                ];
            }
            foreach ($element['places'] ?? [] as $place => $joint) {
                $at[$place] = [$id, $joint, $stores];
            }
        }
        foreach ($this->model->document['lights'] ?? [] as $fire => $conditions) {
            $this->primitives[$fire]['spec']['lit_by'] = [
                ...$this->primitives[$fire]['spec']['lit_by'] ?? [],
                ...$conditions,
            ];
        }
        $metric = $this->model->region() === 'EU';
        foreach ($this->primitives as $id => ['type' => $type, 'spec' => $spec, 'scope' => $part]) {
            if (is_a(Primitives::TYPES[$type], NeedsPipes::class, true)) {
                $this->primitives[$id]['spec'] += ['metric' => $metric];
            }
            if ($type === 'heat-store') {
                $this->primitives[$id]['spec']['own'] = $id;
            } elseif ($type === 'stream-heat' && isset($at["$part.".($spec['at'] ?? '')])) {
                [$network, $joint, $stores] = $at["$part.{$spec['at']}"];
                $this->primitives[$id]['spec'] += ['network' => $network, 'joint' => $joint, 'stores' => $stores];
            }
        }
    }

    /**
     * @param PartDocument $part
     * @param KindDocument $kind
     */
    private function part(array $part, array $kind): void
    {
        $id = $part['id'];
        $local = [...array_keys($kind['terminals']), ...($kind['inside'] ?? [])];
        foreach ($local as $name) {
            $this->places->add("$id.$name");
        }
        foreach ($kind['joined'] ?? [] as $group) {
            $this->places->join(array_map(fn (string $t) => "$id.$t", $group));
        }
        foreach ($kind['primitives'] as $name => $spec) {
            $ends = is_a(Primitives::TYPES[$spec['type']], Carries::class, true)
                ? array_intersect_key($spec, ['from' => 1, 'to' => 1]) // ports, not primitives
                : [];
            $spec = $ends + self::linked($spec, $part, $kind);
            if ($spec['type'] === 'source') { // what a part says of its own supply stands
                $spec = Source::on($spec, (float) $this->model->document['supply']['volts']);
            }
            foreach ($part['params'][$name] ?? [] as $key => $value) {
                $spec[$key] =
                    is_array($value) && ! array_is_list($value)
                        ? array_replace_recursive($spec[$key] ?? [], $value)
                        : $value;
            }
            if (isset($spec['overrides'])) {
                $spec['table'] = Table::with($spec['table'], $spec['overrides']);
                unset($spec['overrides']);
            }
            $this->primitives["$id.$name"] = [
                'type' => $this->isPiped($id, $kind, (string) $name) ? $spec['type'] : Primitives::UNJOINED,
                'spec' => $spec,
                'scope' => $id,
                'local' => array_map('strval', $local),
            ];
        }
    }

    /**
     * A primitive's parameters with what they mean of other primitives by its full id: "@name" by the part's
     * links ("@name?" where it may have none, "@name?own" where it is then one of its own), a name of the same kind by
     * the part's id.
     *
     * @param array<array-key, mixed> $spec
     * @param PartDocument $part
     * @param KindDocument $kind
     * @return array<array-key, mixed>
     */
    private static function linked(array $spec, array $part, array $kind, bool $ways = false): array
    {
        foreach ($spec as $key => $value) {
            if (is_array($value)) {
                $isWays = in_array($key, ['ways', 'carries_by'], true);
                $spec[$key] = $key === 'table' ? $value : self::linked($value, $part, $kind, $isWays);
            } elseif (is_string($value) && str_starts_with($value, '@')) {
                [$name, $else] = [...explode('?', substr($value, 1), 2), null];
                $spec[$key] =
                    $part['links'][$name] ??
                    match ($else) {
                        null => null,
                        '' => Primitive::NOTHING,
                        default => "{$part['id']}.$else",
                    } ??
                    throw new DocumentError(
                        "/parts/{$part['id']}/links",
                        Words::say('appliance.compiler.must_say_what_its_is', [
                            'id' => $part['id'],
                            'name' => $name,
                        ]),
                    );
            } elseif (
                is_string($value) &&
                ($ways || in_array($key, self::REFERENCES, true)) &&
                isset($kind['primitives'][$value])
            ) {
                $spec[$key] = "{$part['id']}.$value";
            }
        }

        return $spec;
    }

    /** @param WireDocument $wire */
    private function wire(array $wire): void
    {
        $id = $wire['id'];
        foreach ($this->model->document['as_built'] ?? [] as $built) {
            [$of, $end] = Model::split($built['end'] ?? '');
            if ($of === $id) {
                $wire[$end === 'a' ? 'from' : 'to'] = $built['on'];
            }
        }
        $this->places->add("$id.a");
        $this->places->add("$id.b");
        $spec = [
            'type' => 'wire',
            'from' => $wire['from'],
            'to' => $wire['to'],
            'ohm' => max(0.002, self::copper($wire)),
        ];
        if (isset($wire['near'])) {
            $spec['rubs'] = $wire['near'];
        }
        $this->primitives["$id.body"] = ['type' => 'wire', 'spec' => $spec, 'scope' => $id, 'local' => ['a', 'b']];
    }

    /** @param WireDocument $wire */
    private static function copper(array $wire): float
    {
        $celsius = $wire['celsius'] ?? 25.0;

        return isset($wire['mm2'])
            ? Conductor::metric($wire['mm2'], $wire['metres'], $celsius)
            : Conductor::ohms($wire['awg'], $wire['feet'], $celsius);
    }
}
