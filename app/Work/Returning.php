<?php

namespace App\Work;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentWork;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Hint;
use OddSpark\Returning\LastVisit;

/**
 * A fault is traced at a site where somebody else has been before, and a logger may be left for the night. The job
 * keeps what is written of the last visit.
 */
class Returning extends Tracing
{
    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $last = new LastVisit($plan, FaultSet::of($plan->model), $fault, $this->plans->arrivals($plan, $visit));
        $arrivals = $last->arrivals();

        return Frozen::of($appliance, $arrivals, $fault, ['last' => $last->told($arrivals[$fault])]);
    }

    /**
     * What is written of the last visit; null where the job is another.
     *
     * @return array{last: list<string>}|null
     */
    public static function told(Assignment $job): ?array
    {
        if ($job->work !== AssignmentWork::Return) {
            return null;
        }

        return ['last' => Assignment::query()->select(['id', 'sheet'])->findOrFail($job->id)->sheet['last'] ?? []];
    }

    protected function helper(Plan $plan): Hint
    {
        return new Hint($plan, nights: true);
    }

    protected function linesBeside(): string
    {
        return AssignmentWork::Return->value;
    }
}
