<?php

namespace App\Tasks;

use App\Bench\Attempts;
use App\Bench\Following;
use App\Bench\Plans;
use App\Live\Supervision;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\AttemptEventKind;
use App\Models\Task;
use App\Models\User;
use OddSpark\Marking\Hint;

/** A hint that the instructor gives to one at the bench: worked out from what was seen there, and free. */
class TellHint implements Work
{
    public function __construct(
        private readonly Plans $plans,
        private readonly Attempts $attempts,
        private readonly Following $following,
        private readonly Supervision $supervision,
    ) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->findOrFail($task->payload['attempt']);
        if (! $attempt->isOpen()) {
            return null;
        }
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $seen = $this->attempts->observations($attempt);
        $tracker = $this->following->tracker($assignment);
        foreach ($tracker->moments($seen) as $moment) {
            $task->tell(max(0, $moment->entry) / max(1, count($seen->entries)));
        }
        $text = (new Hint($this->plans->ofAssignment($assignment)))->of($task->payload['grade'], $tracker);
        $this->supervision->say($attempt, User::query()->findOrFail($task->user_id), $text, AttemptEventKind::Hint);

        return null;
    }
}
