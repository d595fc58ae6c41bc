<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Instruments\Site;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;

/** What a person stands before when he does something: the appliance, how it stands, and what can be asked of both. */
final readonly class Situation
{
    public Model $model;

    public function __construct(
        public Plan $plan,
        public Fault $fault,
        public Machine $machine,
        public BenchState $state,
        public Reach $reach,
        public Risk $risk,
        public Noticing $noticing,
        public ?int $seed,
    ) {
        $this->model = $plan->model;
    }

    /** The same after something was done. */
    public function after(BenchState $state, ?Machine $machine = null): self
    {
        return new self(
            $this->plan,
            $this->fault,
            $machine ?? $this->machine,
            $state,
            $this->reach,
            $this->risk,
            $this->noticing,
            $this->seed,
        );
    }

    public function site(): Site
    {
        return new Site($this->plan, $this->machine, $this->state, $this->seed);
    }
}
