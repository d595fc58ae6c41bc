<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Parts\Primitive;
use OddSpark\Trade\Response;

/**
 * How an appliance stands at a moment: the slot of each of its primitives, and what a hand has put on its circuit.
 *
 * A joint is two nodes and the siemens between them.
 *
 * @phpstan-type Joint array{int, int, float}
 * Immutable, and not readonly to PHP: a copy with some of it otherwise is made thousands of times a second, and what is
 * readonly cannot be changed in a copy.
 *
 * @immutable
 *
 * @phpstan-import-type Slot from Primitive
 */
class MachineState
{
    /**
     * @param array<string, Slot> $slots by primitive id
     * @param list<Joint> $joined what a hand has put on the circuit: jumpers, then the meter
     */
    public function __construct(public int $tick, public array $slots, public array $joined = []) {}

    /** What a lever, or anything else that stands somewhere, is at. */
    public function at(string $id): mixed
    {
        return $this->slots[$id]['at'] ?? null;
    }

    /** Whether the end of a wire is where the drawing has it, and not lifted. */
    public function isLanded(string $end): bool
    {
        $dot = (int) strrpos($end, '.');

        return $this->slots[substr($end, 0, $dot).'.body'][substr($end, $dot + 1)] ?? true;
    }

    /** What a quantity that settles has come to. */
    public function value(string $process): float
    {
        return Response::at($this->slots[$process]['course'], $this->tick);
    }

    /**
     * @param array<string, Slot> $changes of slots, by primitive id: what is to be otherwise in each
     * @return static
     */
    public function withSlots(array $changes): self
    {
        $slots = $this->slots;
        foreach ($changes as $id => $changed) {
            $slots[$id] = array_replace($slots[$id], $changed);
        }

        return $this->with(slots: $slots);
    }

    /** @return static with some of it otherwise */
    public function with(mixed ...$changes): self
    {
        $copy = clone $this;
        foreach ($changes as $field => $value) {
            $copy->$field = $value;
        }

        return $copy;
    }

    /**
     * @param array<string, Slot> $slots
     * @return static at another moment
     */
    protected function moved(int $tick, array $slots): self
    {
        $copy = clone $this;
        // @phpstan-ignore property.readOnlyByPhpDocAssignNotInConstructor (it is not handed out yet)
        $copy->tick = $tick;
        // @phpstan-ignore property.readOnlyByPhpDocAssignNotInConstructor
        $copy->slots = $slots;

        return $copy;
    }

    /** A state has the fields that it is made of, and no others. */
    public function __set(string $field, mixed $value): never
    {
        throw new \LogicException("A state has no $field.");
    }
}
