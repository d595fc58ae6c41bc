<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Run\BenchState;

/**
 * What is found: the state after the household has lived with the fault, and what it says of it.
 *
 * @phpstan-type Words list<array{id: string, text: string}>
 * @phpstan-type Kept array{state: array<string, mixed>, complaint: Words}
 */
final readonly class Arrival
{
    /**
     * @param BenchState $state of the {@see Bench}, ready for the first act
     * @param Words $complaint
     */
    public function __construct(public BenchState $state, public array $complaint) {}

    /** @return Kept for {@see fromArray} */
    public function toArray(): array
    {
        return ['state' => $this->state->toArray(), 'complaint' => $this->complaint];
    }

    /** @param Kept $array */
    public static function fromArray(array $array): self
    {
        return new self(BenchState::fromArray($array['state']), $array['complaint']);
    }
}
