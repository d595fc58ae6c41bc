<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Senses\Record;

/**
 * One thing that is tried with a wiring, from a moment on.
 *
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Slot from Primitive
 */
final readonly class Trying
{
    /**
     * @param string $what the switch, or the part of the lever
     * @param array{string, string, string}|null $lever part, lever, position; null where something in a part is changed
     * @param Changes $set
     * @param array<string, Slot> $slots
     * @param int $ms how long is looked at what follows
     */
    private function __construct(
        public Station $station,
        public string $title,
        public string $what,
        public ?array $lever,
        public array $set,
        public array $slots,
        public int $ms,
        public MustStop $stop,
    ) {}

    /** @param array{string, string, string} $lever */
    public static function lever(Station $station, string $title, array $lever, int $ms): self
    {
        return new self($station, $title, $lever[0], $lever, [], [], $ms, MustStop::Nothing);
    }

    /**
     * @param Changes $set
     * @param array<string, Slot> $slots
     */
    public static function change(
        Station $station,
        string $title,
        string $what,
        array $set,
        array $slots,
        int $ms,
        MustStop $stop,
    ): self {
        return new self($station, $title, $what, null, $set, $slots, $ms, $stop);
    }

    /** What follows with a wiring that stands so; null where hands cannot do it. */
    public function with(Rehearsal $run, BenchState $state, ?Record $record = null): ?Track
    {
        $ends = $this->lever === null
            ? $run->changed($state, $this->set, $this->slots, $this->ms, $record)
            : $run->thrown($state, ...$this->lever, ms: $this->ms, record: $record);

        return $ends[0] ?? null;
    }
}
