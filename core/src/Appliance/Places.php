<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/** Places of a circuit, and which of them are one conductor. */
final class Places
{
    /** @var array<string, string> union-find */
    private array $root = [];

    public function add(string $place): void
    {
        $this->root[$place] ??= $place;
    }

    /** @param list<string> $places that are one from now on */
    public function join(array $places): void
    {
        foreach (array_slice($places, 1) as $place) {
            $this->root[$this->find($place)] = $this->find($places[0]);
        }
    }

    /** The place that stands for all that are one with it. */
    public function find(string $place): string
    {
        while ($this->root[$place] !== $place) {
            $place = $this->root[$place];
        }

        return $place;
    }

    /** @return list<string> */
    public function all(): array
    {
        return array_map(strval(...), array_keys($this->root));
    }
}
