<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Wire;
use OddSpark\Words\Words;

/**
 * A rule of wiring.
 *
 * @phpstan-import-type Element from Nets
 * @phpstan-import-type Supply from Nets
 */
abstract class Rule
{
    public function __construct(protected readonly Nets $nets) {}

    /** @return list<Finding> */
    abstract public function find(): array;

    protected function model(): Model
    {
        return $this->nets->model;
    }

    /** @return list<Supply> of line voltage */
    protected function lines(): array
    {
        return array_values(array_filter($this->nets->supplies(), fn (array $s) => $s['class'] === 'line'));
    }

    /** @return list<array{part: string, place: string}> where the supplies have their ground */
    protected function grounds(): array
    {
        return $this->nets->grounds();
    }

    /**
     * Wires whose copper is of a net.
     *
     * @return list<Wire>
     */
    protected function wiresOf(string $net): array
    {
        $isOf = fn (Wire $w): bool => $this->nets->root($w->from) === $net;

        return array_values(array_filter($this->model()->wires(), $isOf));
    }

    protected function wireName(Wire $wire): string
    {
        return Words::say('wiring.rule.the_wire_from_to', [
            'colour' => $wire->colour,
            'from' => $this->nets->name($wire->from),
            'to' => $this->nets->name($wire->to),
        ]);
    }

    /**
     * The wires that a way runs along.
     *
     * @param Supply $supply
     * @param list<Element> $way
     * @return list<string>
     */
    protected function wiresAlong(array $supply, array $way): array
    {
        $ends = [
            $supply['hot'],
            ...array_merge([], ...array_map(fn (array $e) => [$e['a'], $e['b']], $way)),
            $supply['return'],
        ];

        return array_merge(
            ...array_map(fn (array $pair) => $this->nets->along($pair[0], $pair[1]), array_chunk($ends, 2)),
        );
    }
}
