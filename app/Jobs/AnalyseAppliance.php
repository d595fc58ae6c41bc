<?php

namespace App\Jobs;

use App\Bench\Plans;
use App\Models\Analysis;
use App\Models\Appliance;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use OddSpark\Faults\Universe;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Analysis as Findings;

/** Finds what can be told of a model's faults, and says how far it is. */
class AnalyseAppliance implements ShouldQueue
{
    use Queueable;

    public int $timeout = 600;

    public int $tries = 1;

    public function __construct(public int $appliance, public int $analysis) {}

    public function handle(Plans $plans): void
    {
        $analysis = Analysis::query()->findOrFail($this->analysis);
        $plan = $plans->ofAppliance(Appliance::query()->findOrFail($this->appliance));
        $told = 0.0;
        $findings = Findings::of($plan, Universe::of($plan->model), $analysis->visit, memory: new Memory(), progress: function (string $what, float $share) use ($analysis, &$told): void {
            if (microtime(true) - $told > 0.5) {
                $told = microtime(true);
                $analysis->update(['doing' => $what, 'share' => $share]);
            }
        });
        $analysis->update(['doing' => 'Done', 'share' => 1, 'result' => json_encode($findings->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
    }

    public function failed(?\Throwable $e): void
    {
        Analysis::query()->whereKey($this->analysis)->update(['error' => 'It could not be finished: '.($e?->getMessage() ?? 'the worker was stopped').' Try again.']);
    }
}
