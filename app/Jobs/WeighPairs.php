<?php

namespace App\Jobs;

use App\Bench\Plans;
use App\Bench\Workbench;
use App\Models\Assignment;
use App\Models\Attempt;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use OddSpark\Faults\Universe;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Pairs;
use OddSpark\Suspects\Tracker;

/** Finds which two faults at once would have shown all that an attempt was shown, and says how far it is. */
class WeighPairs implements ShouldQueue
{
    use Queueable;

    private const SHOWN = 8;

    public int $timeout = 600;

    public int $tries = 1;

    public function __construct(public int $attempt)
    {
        $this->onQueue('asked');
    }

    public function handle(Plans $plans, Workbench $workbench): void
    {
        $attempt = Attempt::query()->findOrFail($this->attempt);
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $plan = $plans->ofAssignment($assignment);
        $universe = Universe::of($plan->model);
        $seen = $workbench->observations($attempt);
        $memory = new Memory();
        $steps = (new Tracker($plan, $universe, $assignment->visit, $memory, Plans::unpackArrivals($assignment->arrivals)))->follow($seen);
        $pairs = Pairs::of($plan, $universe, $seen, $steps, $memory, progress: function (int $done, int $of) use ($attempt): void {
            $attempt->update(['pairs' => ['share' => $done / $of]]);
        });
        $left = [];
        foreach (array_slice($pairs->left->ranked(), 0, self::SHOWN) as $id => $share) {
            $left[] = ['title' => $pairs->universe->get((string) $id)->title, 'share' => round($share, 3)];
        }
        $attempt->update(['pairs' => ['share' => 1, 'left' => $pairs->left->count(), 'run' => $pairs->run, 'of' => $pairs->of, 'likeliest' => $left]]);
    }

    public function failed(?\Throwable $e): void
    {
        Attempt::query()->findOrFail($this->attempt)->update(['pairs' => ['share' => 0, 'error' => 'It could not be finished: '.($e?->getMessage() ?? 'the worker was stopped').' Try again.']]);
    }
}
