<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\StandsAsSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Suspects\Trial;

/** An appliance at rest, with doors off and everything reset; every call made, and ended. */
final class Call
{
    /** How long nothing calls before, ms. */
    private const REST = 300_000;

    private readonly Trial $trial;

    private readonly BenchState $rested;

    private readonly Memory $memory;

    public function __construct(private readonly Plan $plan, string $visit)
    {
        $this->trial = new Trial($plan->model);
        $this->memory = new Memory();
        $this->rested = $this->rest($visit);
    }

    public function make(Bench $bench, BenchState $state, int $tick): BenchState
    {
        return $this->doing($bench, $state, $this->trial->calls($tick));
    }

    public function end(Bench $bench, BenchState $state, int $tick): BenchState
    {
        return $this->doing($bench, $state, $this->trial->ends($tick));
    }

    /** @return array{Bench, BenchState} shortly before the call, as it was sound till then */
    public function rested(Fault $fault): array
    {
        $bench = new Bench($this->plan, $fault, $this->memory);
        $set = [];
        foreach ($this->plan->those(StandsAsSet::class) as $id) {
            if (isset($fault->set["$id.at"])) { // a lever that somebody has moved
                $set[$id] = ['at' => $fault->set["$id.at"]] + ($this->rested->slots[$id] ?? []);
            }
        }
        $state = $bench->resume($this->rested->withSlots($set));

        return [$bench, $state->on($bench->machine()->settle($state))];
    }

    private function rest(string $visit): BenchState
    {
        $bench = new Bench($this->plan, Fault::none(), $this->memory);
        $state = $bench->resume(
            $bench->arrive($visit)->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE),
        );
        $rest = $state->now();
        $state = $this->doing($bench, $state, [...$this->trial->ends($rest), ...$this->trial->resets($rest)]);

        return $bench->watch($state, $rest + self::REST, fn (): bool => false);
    }

    /** @param list<Act> $acts */
    private function doing(Bench $bench, BenchState $state, array $acts): BenchState
    {
        foreach ($acts as $act) {
            [$state] = $bench->do($bench->watch($state, $act->tick, fn (): bool => false), $act);
            $state = $state->with(eyes: Perception::EVERYWHERE);
        }

        return $state;
    }
}
