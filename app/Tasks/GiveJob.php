<?php

namespace App\Tasks;

use App\Bench\AssignJob;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\RuleSet;
use App\Models\Task;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Gives a job. All faults of its model are run up to the visit first, which takes a while when it is the first on it.
 */
class GiveJob implements Work
{
    public function __construct(private readonly AssignJob $giving) {}

    public function do(Task $task): ?array
    {
        if ($task->result !== null) {
            return $task->result; // given, and the worker was killed before it said so
        }
        $with = $task->payload['job'];
        $appliance = Appliance::query()->findOrFail($with['appliance']);
        $this->giving->prepare(
            $appliance,
            $with['visit'],
            fn (int $done, int $of) => $task->tell($done / max(1, $of), "Running each of $of faults up to the visit"),
        );

        $assignment = DB::transaction(function () use ($task, $with, $appliance): Assignment {
            $assignment = $this->giving->give(
                User::query()->findOrFail($task->user_id),
                $appliance,
                Course::query()->findOrFail($with['course']),
                $with['trainees'],
                $with['title'],
                $with['fault'],
                $with['visit'],
                AssignmentKind::from($with['kind']),
                $with['complaint'],
                $with['seed'],
                $with['kit'],
                $with['stops'],
                RuleSet::query()->find($with['rules']),
                array_map(
                    fn (mixed $v) => is_string($v) ? Carbon::parse($v) : $v,
                    $with['window'] ?? [], // of a task of before there were any
                ),
            );
            Task::query()->whereKey($task->id)->update(['result' => json_encode(['goes' => "/jobs/$assignment->id"])]);

            return $assignment;
        });
        // for its answer key, and the perfect hand of its debriefs
        Analysis::want(User::query()->findOrFail($task->user_id), $assignment->hash, $assignment->visit);

        return ['goes' => "/jobs/$assignment->id"];
    }
}
