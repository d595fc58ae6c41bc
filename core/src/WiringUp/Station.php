<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Run\BenchState;

/** A moment from which something is tried: of the long visit, or some time after a lever was thrown in it. */
final readonly class Station
{
    /** @param array{string, string, string}|null $thrown part, lever, position */
    public function __construct(public string $title, public int $tick, public ?array $thrown = null) {}

    /** How a wiring stands then; null where it does not come so far, or the lever cannot be thrown. */
    public function of(Rehearsal $run, int $after): ?BenchState
    {
        $state = $run->states[$this->tick] ?? null;

        if ($state === null || $this->thrown === null) {
            return $state;
        }

        return $run->thrown($state, ...$this->thrown, ms: $after, record: null)[1] ?? null;
    }
}
