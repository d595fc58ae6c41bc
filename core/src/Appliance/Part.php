<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;

/**
 * A part of an appliance: a kind with a name, a label, a place on the board, and what differs in it.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type PartDocument from Shapes
 */
final readonly class Part
{
    /**
     * @param array{int|float, int|float} $at on the board
     * @param array<string, Figures> $params that differ from the kind's, by primitive
     * @param array<string, string> $links what the kind asks for by name
     * @param bool $inVan it is not on the appliance, and can be put there
     */
    private function __construct(
        public string $id,
        public Kind $kind,
        public string $label,
        public array $at,
        public array $params,
        public array $links,
        public bool $inVan,
    ) {}

    /** @param PartDocument $json as the schema has it */
    public static function of(array $json, Kind $kind): self
    {
        return new self(
            $json['id'],
            $kind,
            $json['label'],
            $json['at'],
            $json['params'] ?? [],
            $json['links'] ?? [],
            $json['van'] ?? false,
        );
    }

    /** A primitive of it, with its own figures; null when it has none of that name. */
    public function spec(string $primitive): ?Spec
    {
        return isset($this->kind->primitives[$primitive])
            ? $this->kind->primitives[$primitive]->with($this->params[$primitive] ?? [])
            : null;
    }

    /** @return array<string, Spec> all of them, with its own figures */
    public function specs(): array
    {
        $specs = [];
        foreach ($this->kind->primitives as $name => $spec) {
            $specs[$name] = $spec->with($this->params[$name] ?? []);
        }

        return $specs;
    }

    /** @return array<string, Slot> changes of slots when its button is pressed: what had locked out goes on */
    public function reset(): array
    {
        $freed = [];
        foreach ($this->kind->resets as $name) {
            $freed["$this->id.$name"] = ['latched' => false];
        }

        return $freed;
    }

    /** @return list<string> its terminals, as places */
    public function places(): array
    {
        $place = fn (string|int $terminal): string => "$this->id.$terminal";

        return array_map($place, array_keys($this->kind->terminals));
    }
}
