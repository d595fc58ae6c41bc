<?php

namespace App\Work;

use App\Bench\AtTelephone;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use OddSpark\Appliance\Plan;
use OddSpark\Marking\Lines\Guided;
use OddSpark\Remote\PhoneBench;

/** A fault is traced by telephone: a customer holds the meter, and does at times something else than he is asked. */
class Telephoning extends Tracing
{
    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $arrivals = array_map(PhoneBench::alone(...), $this->plans->arrivals($plan, $visit));

        return Frozen::of($appliance, $arrivals, $fault, null);
    }

    protected function linesBeside(): string
    {
        return AssignmentWork::Remote->value;
    }

    protected function judgesBeside(Attempt $attempt, Assignment $assignment): array
    {
        $line = new AtTelephone($this->plans->ofAssignment($assignment)->model, $attempt->seed);

        return ['guided' => new Guided($line->slips($attempt->entries))];
    }
}
