<?php

namespace App\Tasks;

use App\Bench\MarkAttempts;
use App\Models\Attempt;
use App\Models\RuleSet;
use App\Models\Task;
use App\Models\User;

/** Marks an attempt once more under other rules, beside the mark that it has. */
class MarkAgain implements Work
{
    public function __construct(private readonly MarkAttempts $judging) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->find($task->payload['attempt']);
        $rules = RuleSet::query()->find($task->payload['rules']);
        if ($attempt !== null && $rules !== null) {
            $by = User::query()->findOrFail($task->user_id);
            $this->judging->again(
                $attempt,
                $rules->rules(),
                $by,
                fn (int $done, int $of) => $task->tell($done / max(1, $of)),
            );
        }

        return null;
    }
}
