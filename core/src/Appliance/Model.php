<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * An appliance as plain data: the resolved document, kinds and tables included.
 *
 * Resolved means that nothing outside it is needed any more; it is what a job freezes, and what
 * its hash is taken of.
 */
final readonly class Model
{
    /** @var array<string, array<string, mixed>> by id */
    private array $parts;

    /** @var array<string, array<string, mixed>> by id */
    private array $wires;

    /** @param array<string, mixed> $document */
    public function __construct(public array $document)
    {
        $this->parts = array_column($document['parts'], null, 'id');
        $this->wires = array_column($document['wires'], null, 'id');
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
        return hash('sha256', json_encode($this->document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION));
    }

    /** @return array<string, array<string, mixed>> by id */
    public function parts(): array
    {
        return $this->parts;
    }

    /** @return array<string, array<string, mixed>> by id */
    public function wires(): array
    {
        return $this->wires;
    }

    /** What is printed on a wire's tag as it hangs there, whatever the drawing says; null when it has none. */
    public function tag(string $wire): ?string
    {
        $hangs = array_column($this->document['as_built'] ?? [], 'tag', 'wire');

        return $hangs[$wire] ?? $this->wires()[$wire]['tag'] ?? null;
    }

    /**
     * What a kind asks of each of its parts by name ("@senses").
     *
     * @param array<string, mixed> $kind
     * @return list<string>
     */
    public static function asked(array $kind): array
    {
        $asked = [];
        array_walk_recursive($kind['primitives'], function (mixed $v) use (&$asked): void {
            if (is_string($v) && str_starts_with($v, '@') && ! str_starts_with($v, '@.')) {
                $asked[substr($v, 1)] = true;
            }
        });

        return array_map('strval', array_keys($asked));
    }

    /** @return array<string, mixed>|null the kind of a part, null when there is no such part */
    public function kindOf(string $part): ?array
    {
        $kind = $this->parts()[$part]['kind'] ?? null;

        return $kind === null ? null : $this->document['kinds'][$kind];
    }

    /** Whether a lead can be put there: a terminal, or the end of a wire. */
    public function isPlace(string $place): bool
    {
        [$owner, $name] = self::split($place);

        return isset($this->parts()[$owner]) ? isset($this->kindOf($owner)['terminals'][$name]) : $this->isWireEnd($place);
    }

    public function isWireEnd(string $place): bool
    {
        [$wire, $end] = self::split($place);

        return isset($this->wires()[$wire]) && in_array($end, ['a', 'b'], true);
    }

    /**
     * A place's owner and what it is there: ids are hierarchical, so the last dot parts them.
     *
     * @return array{string, string} "boiler.limit", "a"; the second is '' for an owner alone
     */
    public static function split(string $place): array
    {
        $dot = strrpos($place, '.');

        return $dot === false ? [$place, ''] : [substr($place, 0, $dot), substr($place, $dot + 1)];
    }

    /**
     * What a person calls a place: "Limit a", "yellow wire at Limit b".
     */
    public function placeName(string $place): string
    {
        [$owner, $end] = self::split($place);
        $wire = $this->wires()[$owner] ?? null;
        if ($wire !== null) {
            return sprintf('%s wire end at %s', $wire['colour'], $this->placeName($wire[$end === 'a' ? 'from' : 'to']));
        }
        $label = $this->parts()[$owner]['label'] ?? $owner;

        return $end === '' ? $label : "$label $end";
    }
}
