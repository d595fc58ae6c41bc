<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Run\BenchState;
use OddSpark\Tests\Fixtures;

/** A furnace with its door off, and a meter. */
trait MeterAtFurnace
{
    private Bench $bench;

    /** @var array<string, mixed> */
    private BenchState $state;

    protected function setUp(): void
    {
        $this->open('healthy');
    }

    private function open(string $fault): void
    {
        [$this->bench, $this->state] = Fixtures::bench($fault);
        $this->do(1, 'door', ['to' => 'open']);
        $this->do(2, 'hold', ['to' => 'held']);
    }

    /** @param array<string, mixed> $with */
    private function shown(float $s, string $name, array $with = []): float
    {
        return $this->do($s, $name, $with)->reading->value ?? throw new \LogicException("$name read nothing");
    }

    /** @param array<string, mixed> $with */
    private function do(float $s, string $name, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($s, $name, $with));

        return $outcome;
    }
}
