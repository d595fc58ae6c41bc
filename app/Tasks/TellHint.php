<?php

namespace App\Tasks;

use App\Live\Supervision;
use App\Models\Attempt;
use App\Models\AttemptEventKind;
use App\Models\Task;
use App\Models\User;

/** A hint that the instructor gives to one at the bench: worked out from what was seen there, and free. */
class TellHint implements Work
{
    public function __construct(private readonly Supervision $supervision) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->findOrFail($task->payload['attempt']);
        if (! $attempt->isOpen()) {
            return null;
        }
        $text = $attempt->assignment->work->kind()->hint($attempt, $task->payload['grade'], null, $task->tell(...));
        $this->supervision->say($attempt, User::query()->findOrFail($task->user_id), $text, AttemptEventKind::Hint);

        return null;
    }
}
