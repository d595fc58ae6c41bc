<?php

namespace App\Tasks;

use App\Bench\MarkAttempts;
use App\Models\Attempt;
use App\Models\Task;

/** Marks an attempt that was handed back, under the rules of its job. */
class MarkAttempt implements Work
{
    public function __construct(private readonly MarkAttempts $judging) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->find($task->payload['attempt']);
        if ($attempt !== null) {
            $this->judging->mark($attempt, fn (int $done, int $of) => $task->tell($done / max(1, $of)));
        }

        return null;
    }
}
