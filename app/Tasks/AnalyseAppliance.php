<?php

namespace App\Tasks;

use App\Bench\Plans;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Task;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;
use OddSpark\Suspects\Analysis as Findings;

/** Finds what can be told of a model's faults. */
class AnalyseAppliance implements Work
{
    public function __construct(private readonly Plans $plans) {}

    public function do(Task $task): ?array
    {
        ['hash' => $hash, 'visit' => $visit] = $task->payload;
        $appliance = Appliance::query()->where('hash', $hash)->first();
        $assignment = $appliance === null ? Assignment::query()->where('hash', $hash)->first() : null;
        if ($appliance === null && $assignment === null) {
            throw new WorkError('The model has been changed since. Ask for it again.');
        }
        $plan = $appliance !== null ? $this->plans->ofAppliance($appliance) : $this->plans->ofAssignment($assignment);
        $findings = Findings::of(
            $plan,
            FaultSet::of($plan->model),
            $visit,
            memory: new Memory(),
            progress: fn (string $what, float $share) => $task->tell($share, $what),
            processes: Processes::here(),
        );
        Analysis::query()->updateOrCreate(
            ['hash' => $hash, 'engine' => Assignment::ENGINE, 'visit' => $visit],
            ['result' => json_encode($findings->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)],
        );

        return null;
    }
}
