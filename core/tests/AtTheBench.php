<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Kit;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/** A person before a shipped model with a fault: does things, second by second. */
trait AtTheBench
{
    private Bench $bench;

    private BenchState $state;

    private float $clock = 0.0;

    private function arrive(string $model, string $fault = 'healthy', string $visit = 'cold'): void
    {
        $plan = TestRig::plan($model);
        $this->bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory(), null, new Kit());
        $this->state = $this->bench->resume($this->bench->arrive($visit)->state);
        $this->clock = 0.0;
    }

    /**
     * An act a second after the last.
     *
     * @param array<string, mixed> $with
     */
    private function do(string $act, array $with = []): Outcome
    {
        $act = Catalogue::act(['at_s' => ++$this->clock, 'act' => $act] + $with);
        [$this->state, $outcome] = $this->bench->do($this->state, $act);

        return $outcome;
    }

    /** Goes on for some seconds. */
    private function wait(float $seconds): void
    {
        $this->clock += $seconds;
        $this->state = $this->bench->advance($this->state, (int) round($this->clock * 1000));
    }

    /**
     * Goes on till something of a slot is so, or fails after some seconds.
     *
     * @param string $key of the slot, with dots between where it lies deeper
     */
    private function until(string $id, string $key, mixed $is, float $within): void
    {
        $now = fn (): mixed => array_reduce(
            explode('.', $key),
            fn (mixed $at, string $step): mixed => is_array($at) ? $at[$step] ?? null : null,
            $this->state->slots[$id],
        );
        for ($s = 0; $s < $within && $now() !== $is; $s++) {
            $this->wait(1);
        }
        self::assertSame($is, $now(), "$id $key within $within s");
    }

    /** What the meter shows between two places, in a mode. */
    private function read(string $mode, string $red, string $black): float
    {
        $this->do('dial', ['mode' => $mode]);
        $this->do('leads', ['red' => $red, 'black' => $black]);
        $this->wait(3);
        $reading = $this->do('read')->reading;
        self::assertNotNull($reading);

        return $reading->value ?? INF;
    }
}
