<?php

namespace App\Tasks;

use App\Bench\JobClock;
use App\Bench\Workbench;
use App\Models\Attempt;
use App\Models\Task;
use App\People\Persons;
use App\People\School;
use App\Records\StatementQueue;

/** What a worker looks after between two tasks, each thing as often as it needs. */
class Rounds
{
    /** Seconds between one look and the next, by what is looked after. */
    private const EVERY_S = ['tasks' => 5, 'statements' => 3, 'overdue' => 20, 'old' => 600];

    /** @var array<string, float> when each was looked after last */
    private array $last = [];

    public function __construct(private readonly Workbench $workbench) {}

    public function go(): void
    {
        foreach (self::EVERY_S as $what => $every) {
            $isFirst = ! isset($this->last[$what]);
            if ($isFirst || microtime(true) - $this->last[$what] > $every) {
                match ($what) {
                    // what a worker that was killed has left is taken up when the next begins
                    'tasks' => Task::takeUp(config('spark.worker'), $isFirst),
                    'statements' => StatementQueue::send(),
                    'overdue' => $this->closeOverdue(),
                    'old' => $this->forgetOld(),
                };
                $this->last[$what] = microtime(true);
            }
        }
    }

    private function closeOverdue(): void
    {
        foreach (JobClock::overdue() as $id) {
            $attempt = Attempt::query()->findOrFail($id);
            if ($this->workbench->closeIfOver($attempt)) {
                Task::want($attempt->user, 'mark', "attempt:$id", ['attempt' => $id]);
            }
        }
    }

    private function forgetOld(): void
    {
        Task::forgetOld();
        $months = School::settled()['keep_months'];
        if ($months > 0) {
            Persons::forgetOld($months);
        }
    }
}
