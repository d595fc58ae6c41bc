<?php

namespace App\Tasks;

use App\Bench\Attempts;
use App\Bench\Plans;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Task;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Pairs;
use OddSpark\Suspects\Tracker;

/** Finds which two faults at once would have shown all that an attempt was shown. */
class WeighPairs implements Work
{
    private const SHOWN = 8;

    public function __construct(private readonly Plans $plans, private readonly Attempts $attempts) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->findOrFail($task->payload['attempt']);
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $plan = $this->plans->ofAssignment($assignment);
        $universe = FaultSet::of($plan->model);
        $seen = $this->attempts->observations($attempt);
        $memory = new Memory();
        $steps = (new Tracker(
            $plan,
            $universe,
            $assignment->visit,
            $memory,
            Plans::unpackArrivals($assignment->arrivals),
        ))->follow($seen);
        $pairs = Pairs::of(
            $plan,
            $universe,
            $seen,
            $steps,
            $memory,
            progress: fn (int $done, int $of) => $task->tell($done / max(1, $of)),
        );
        $left = [];
        foreach (array_slice($pairs->left->ranked(), 0, self::SHOWN) as $id => $share) {
            $left[] = ['title' => $pairs->faultSet->get((string) $id)->title, 'share' => round($share, 3)];
        }
        $attempt->update([
            'pairs' => [
                'share' => 1,
                'left' => $pairs->left->count(),
                'run' => $pairs->run,
                'of' => $pairs->of,
                'likeliest' => $left,
            ],
        ]);

        return null;
    }
}
