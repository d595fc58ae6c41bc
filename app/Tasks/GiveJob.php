<?php

namespace App\Tasks;

use App\Bench\AssignJob;
use App\Bench\Attempts;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\RuleSet;
use App\Models\Task;
use App\Models\User;
use App\Work\Asked;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OddSpark\Faults\Draw;

/**
 * Gives a job. All faults of its model are run up to the visit first, which takes a while when it is the first on it.
 */
class GiveJob implements Work
{
    public function __construct(private readonly AssignJob $giving, private readonly Attempts $attempts) {}

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

        $goes = DB::transaction(function () use ($task, $with, $appliance): string {
            $jobs = $this->jobs($task, $with, $appliance);
            $goes = isset($with['begin'])
                ? '/attempts/'.$this->attempts->start($jobs[0], User::query()->findOrFail($with['begin']))->id
                : "/jobs/{$jobs[0]->id}";
            Task::query()->whereKey($task->id)->update(['result' => json_encode(['goes' => $goes])]);

            return $goes;
        });
        // for its answer key, and the perfect hand of its debriefs
        Analysis::want(User::query()->findOrFail($task->user_id), $appliance->hash, $with['visit']);

        return ['goes' => $goes];
    }

    /**
     * The job; of a pool one for each fault, with the trainees that drew it.
     *
     * @param array<string, mixed> $with
     * @return non-empty-list<Assignment>
     */
    private function jobs(Task $task, array $with, Appliance $appliance): array
    {
        $faults = [$with['fault'], ...$with['pool'] ?? []];
        $pool = count($faults) > 1 ? (string) Str::uuid() : null;
        $order = User::query()->whereKey($with['trainees'])->orderBy('name')->pluck('id')->all();
        $drawn = Draw::each($faults, $order, $with['seed']);
        $jobs = [];
        foreach ($faults as $i => $fault) {
            $job = $this->giving->give(
                User::query()->findOrFail($with['instructor'] ?? $task->user_id),
                $appliance,
                Course::query()->findOrFail($with['course']),
                array_keys($drawn, $fault, true),
                $with['title'],
                $fault,
                $with['visit'],
                AssignmentKind::from($with['kind']),
                // what a customer says goes with the fault: of several each has its own
                $pool === null ? $with['complaint'] : null,
                $with['seed'] + $i,
                $with['kit'],
                $with['stops'],
                RuleSet::query()->find($with['rules']),
                array_map(
                    fn (mixed $v) => is_string($v) ? Carbon::parse($v) : $v,
                    $with['window'] ?? [], // of a task of before there were any
                ),
                Asked::of($with),
            );
            $job->update(
                ['pool' => $pool, 'after_id' => $with['after'] ?? null, 'after_mark' => $with['after_mark'] ?? null],
            );
            $jobs[] = $job;
        }

        return $jobs;
    }
}
