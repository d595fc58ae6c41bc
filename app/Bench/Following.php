<?php

namespace App\Bench;

use App\Models\Assignment;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

/** Which suspects a job leaves, followed through what was done at it. */
class Following
{
    public function __construct(private readonly Plans $plans) {}

    /** All suspects of a job as they stand before its appliance is entered. */
    public function tracker(Assignment $assignment): Tracker
    {
        $plan = $this->plans->ofAssignment($assignment);

        return new Tracker(
            $plan,
            FaultSet::of($plan->model),
            $assignment->visit,
            new Memory(),
            Plans::unpackArrivals($assignment->arrivals),
        );
    }
}
