<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Run\BenchState;
use OddSpark\Tests\Fixtures;

/** A person before a furnace. */
trait AtTheFurnace
{
    /** @var array<string, mixed> */
    private BenchState $state;

    private Bench $bench;

    private function arrive(string $fault = 'healthy'): void
    {
        [$this->bench, $this->state] = Fixtures::bench($fault);
    }

    private function open(string $fault = 'healthy'): void
    {
        $this->arrive($fault);
        $this->do(1, 'door', ['to' => 'open']);
        $this->do(2, 'hold', ['to' => 'held']);
    }

    /** @param array<string, mixed> $with */
    private function do(float $s, string $name, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($s, $name, $with));

        return $outcome;
    }
}
