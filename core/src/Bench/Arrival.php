<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Run\BenchState;

/**
 * What is found: the state after the household has lived with the fault, and what it says of it.
 */
final readonly class Arrival
{
    /**
     * @param BenchState $state of the {@see Bench}, ready for the first act
     * @param list<array{id: string, text: string}> $complaint
     */
    public function __construct(public BenchState $state, public array $complaint) {}
}
