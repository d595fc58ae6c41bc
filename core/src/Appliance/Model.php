<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * An appliance: its resolved document, kinds and tables included, parsed once.
 *
 * Resolved means that nothing outside it is needed any more; it is what a job freezes, and what its hash is taken of.
 * The
 * document itself is for those who write it, store it or change it; all others ask for what it holds.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type ExpectedDocument from Shapes
 * @phpstan-import-type CableDocument from Shapes
 */
final readonly class Model
{
    use NamesPlaces;

    /** @var array<string, Kind> by name */
    private array $kinds;

    /** @var array<string, Part> by id */
    private array $parts;

    /** @var array<string, Wire> by id */
    private array $wires;

    /** @var list<Pipe> */
    private array $pipes;

    private Doors $doors;

    /** @var array<string, Tap> by id */
    private array $taps;

    /** @var array<string, string> tags as they hang on wires, whatever the drawing says */
    private array $tags;

    private ?RatingPlate $plate;

    /** @var array<string, string> parts by the end of a wire that goes to them */
    private array $ends;

    /** @param ModelDocument $document */
    public function __construct(public array $document)
    {
        $kinds = [];
        foreach ($document['kinds'] ?? [] as $name => $json) {
            $kinds[(string) $name] = Kind::of((string) $name, $json);
        }
        $this->kinds = $kinds;
        $parts = [];
        foreach ($document['parts'] as $json) {
            $parts[$json['id']] = Part::of($json, $kinds[$json['kind']]);
        }
        $this->parts = $parts;
        $this->wires = array_map(Wire::of(...), array_column($document['wires'], null, 'id'));
        $this->pipes = array_map(Pipe::of(...), $document['pipes'] ?? []);
        $this->doors = new Doors(array_map(Door::of(...), $document['doors'] ?? []));
        $taps = [];
        foreach ($document['taps'] ?? [] as $id => $json) {
            $taps[(string) $id] = Tap::of((string) $id, $json);
        }
        $this->taps = $taps;
        $ends = [];
        foreach ($this->wires as $id => $wire) {
            $ends["$id.a"] = self::split($wire->from)[0];
            $ends["$id.b"] = self::split($wire->to)[0];
        }
        $this->ends = $ends;
        $this->plate = isset($document['plate']) ? RatingPlate::of($document['plate'], $this->region()) : null;
        $this->tags = array_column($document['as_built'] ?? [], 'tag', 'wire');
    }

    public function name(): string
    {
        return $this->document['name'];
    }

    public function title(): string
    {
        return $this->document['title'];
    }

    /** SHA-256 of the resolved document, keys in their stable order. */
    public function hash(): string
    {
        return hash(
            'sha256',
            json_encode($this->document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
        );
    }

    public function hertz(): float
    {
        return (float) $this->document['supply']['hertz'];
    }

    /** How its trade speaks: what is said of it is in these words. */
    public function language(): string
    {
        return $this->region() === 'EU' ? Words::BRITISH : Words::AMERICAN;
    }

    /** NA or EU: units, colours and cross-sections are as there. */
    public function region(): string
    {
        return $this->document['supply']['region'];
    }

    /** @return array<string, Kind> by name */
    public function kinds(): array
    {
        return $this->kinds;
    }

    /** @return array<string, Part> by id */
    public function parts(): array
    {
        return $this->parts;
    }

    public function part(string $id): ?Part
    {
        return $this->parts[$id] ?? null;
    }

    /** @return array<string, Wire> by id */
    public function wires(): array
    {
        return $this->wires;
    }

    public function wire(string $id): ?Wire
    {
        return $this->wires[$id] ?? null;
    }

    /** @return list<Pipe> */
    public function pipes(): array
    {
        return $this->pipes;
    }

    public function doors(): Doors
    {
        return $this->doors;
    }

    /** What is stamped on it; null where nothing is. */
    public function plate(): ?RatingPlate
    {
        return $this->plate;
    }

    /** @return list<ExpectedDocument> readings that an instructor expects of it */
    public function expected(): array
    {
        return $this->document['readings'] ?? [];
    }

    /** @return array<string, Tap> by id */
    public function taps(): array
    {
        return $this->taps;
    }

    public function tap(string $id): ?Tap
    {
        return $this->taps[$id] ?? null;
    }

    /** @return list<string> names of its visits */
    public function visits(): array
    {
        return array_map('strval', array_keys($this->document['visits']));
    }

    /** @return array<string, string> titles of its visits by name */
    public function visitTitles(): array
    {
        return array_map(fn (array $v): string => $v['title'], $this->document['visits']);
    }

    /** @throws \OutOfBoundsException when the model has no such visit */
    public function visit(string $name): Visit
    {
        return Visit::of(
            $name,
            $this->document['visits'][$name] ?? throw new \OutOfBoundsException(
                Words::say('appliance.model.this_model_has_no_visit', [
                    'name' => $name,
                ]),
            ),
        );
    }

    public function household(): Household
    {
        return Household::of($this->document['household'], $this->region(), $this->hasFilter());
    }

    /** @return list<array{channel: string, name: string, tone: string}> lanes of its chart */
    public function tape(): array
    {
        return $this->document['tape'];
    }

    private function hasFilter(): bool
    {
        return array_filter($this->parts, fn (Part $part): bool => $part->kind->symbol === 'filter') !== [];
    }

    /** @return list<list<string>> places that are one conductor without a wire between */
    public function joined(): array
    {
        return $this->document['joined'] ?? [];
    }

    /** @return list<list<string>> parts that are seen together */
    public function views(): array
    {
        return $this->document['views'] ?? [];
    }

    /** @return list<array{end: string, on: string}> wire ends that hang elsewhere than the drawing has them */
    public function landedElsewhere(): array
    {
        return array_values(array_filter($this->document['as_built'] ?? [], fn (array $b): bool => isset($b['end'])));
    }

    /** @return list<CableDocument> */
    public function cables(): array
    {
        return $this->document['cables'] ?? [];
    }

    /** Whether a wire runs hidden with others between its ends. */
    public function isHidden(string $wire): bool
    {
        $hidden = array_column($this->cables(), 'hidden', 'id');

        return $hidden[$this->wire($wire)->cable ?? ''] ?? false;
    }

    /** @return array<string, FaultMode> ways of failing that wires have */
    public function wireModes(): array
    {
        return array_map(FaultMode::of(...), $this->document['universe']['wire_modes'] ?? []);
    }

    /** What is printed on a wire's tag as it hangs there, whatever the drawing says; null when it has none. */
    public function tag(string $wire): ?string
    {
        return $this->tags[$wire] ?? $this->wire($wire)?->tag;
    }

    /** The kind of a part; null when there is no such part. */
    public function kindOf(string $part): ?Kind
    {
        return $this->part($part)?->kind;
    }

    /** Whether a switch or a sensor of a safety stops the fuel, and not only what it feels itself. */
    public function guardsFuel(Part $part, string $switch): bool
    {
        $sensor = $part->kind->primitives[$part->kind->primitives[$switch]->follows() ?? $switch] ?? null;
        $felt = (string) $sensor?->get('of');
        $felt = str_starts_with($felt, '@') ? $part->links[substr($felt, 1)] ?? '' : $felt;
        if (! str_contains($felt, '.')) {
            return true;
        }
        [$of, $name] = self::split($felt);

        return $this->part($of)?->spec($name)?->isOfTheFire() ?? true;
    }
}
