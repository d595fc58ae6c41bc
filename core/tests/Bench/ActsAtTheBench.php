<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;

/** Acts done one after another at a bench. */
trait ActsAtTheBench
{
    private Bench $bench;

    /** @var array<string, mixed> */
    private BenchState $state;

    private function arrive(string $model, string $fault, bool $open = true): void
    {
        $plan = TestRig::plan($model);
        $this->bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $this->state = $this->bench->arrive($plan->model->visits()[0])->state;
        $this->state = $this->bench->resume($this->state);
        if ($open) {
            $this->do(1, 'door', ['to' => 'open']);
            $this->do(2, 'hold', ['to' => 'held']);
        }
    }

    /** @param array<string, mixed> $with */
    private function do(float $s, string $name, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($s, $name, $with));

        return $outcome;
    }
}
