<?php

namespace App\Tasks;

use App\Bench\Attempts;
use App\Bench\Following;
use App\Bench\Plans;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Entry;
use App\Models\Task;
use OddSpark\Marking\Hint;

/** Works out a hint from all that was seen up to the moment at which it was asked for. */
class GiveHint implements Work
{
    public function __construct(
        private readonly Plans $plans,
        private readonly Attempts $attempts,
        private readonly Following $following,
    ) {}

    public function do(Task $task): ?array
    {
        $entry = Entry::query()->find($task->payload['entry']);
        if ($entry === null) {
            return null; // the attempt was begun anew
        }
        $attempt = Attempt::query()->findOrFail($entry->attempt_id);
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $seen = $this->attempts->observations($attempt, $entry);
        $tracker = $this->following->tracker($assignment);
        foreach ($tracker->moments($seen) as $moment) {
            if ($moment->isAfter && $moment->entry >= 0) {
                $task->tell($moment->entry / count($seen->entries));
            }
        }
        $outcome = $entry->outcome;
        $outcome['seen'] = [
            'hint' => (new Hint($this->plans->ofAssignment($assignment)))->of($entry->act['grade'], $tracker),
        ];
        unset($outcome['waits']);
        $entry->update(['outcome' => $outcome]);

        return null;
    }
}
