<?php

namespace App\Jobs;

use App\Bench\Judging;
use App\Models\Attempt;
use App\Models\RuleSet;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Marks an attempt and says how far it is: under the rules of its job, or once more under others. */
class MarkAttempt implements ShouldQueue
{
    use Queueable;

    public int $timeout = 120;

    public int $tries = 1;

    public function __construct(public int $attempt, public ?int $rules = null, public ?int $by = null)
    {
        $this->onQueue('marks');
    }

    public function handle(Judging $judging): void
    {
        $attempt = Attempt::query()->findOrFail($this->attempt);
        $told = 0.0;
        $progress = function (int $done, int $of) use ($attempt, &$told): void {
            if (microtime(true) - $told > 0.5) {
                $told = microtime(true);
                $attempt->update(['marking' => ['share' => round($done / $of, 2)]]);
            }
        };
        if ($this->rules === null) {
            $judging->mark($attempt, $progress);
        } else {
            $judging->again($attempt, RuleSet::query()->findOrFail($this->rules)->rules(), User::query()->findOrFail($this->by), $progress);
        }
    }

    public function failed(?\Throwable $e): void
    {
        Attempt::query()->whereKey($this->attempt)->update(['marking' => json_encode(['error' => 'It could not be marked: '.($e?->getMessage() ?? 'the worker was stopped').' Try again.'])]);
    }
}
