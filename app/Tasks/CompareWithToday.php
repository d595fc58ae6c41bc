<?php

namespace App\Tasks;

use App\Bench\MarkAttempts;
use App\Models\Attempt;
use App\Models\Task;

/** What today's engine would show an attempt otherwise than was shown then. */
class CompareWithToday implements Work
{
    public function __construct(private readonly MarkAttempts $judging) {}

    public function do(Task $task): ?array
    {
        return ['apart' => $this->judging->drift(Attempt::query()->findOrFail($task->payload['attempt']))];
    }
}
