<?php

namespace App\Tasks;

use App\Models\Attempt;
use App\Models\Entry;
use App\Models\Task;

/** Works out a hint from all that was seen up to the moment at which it was asked for. */
class GiveHint implements Work
{
    public function do(Task $task): ?array
    {
        $entry = Entry::query()->find($task->payload['entry']);
        if ($entry === null) {
            return null; // the attempt was begun anew
        }
        $attempt = Attempt::query()->findOrFail($entry->attempt_id);
        $text = $attempt->assignment->work->kind()->hint($attempt, $entry->act['grade'], $entry, $task->tell(...));
        $outcome = $entry->outcome;
        $outcome['seen'] = ['hint' => $text];
        unset($outcome['waits']);
        $entry->update(['outcome' => $outcome]);

        return null;
    }
}
