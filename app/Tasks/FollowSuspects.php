<?php

namespace App\Tasks;

use App\Bench\Attempts;
use App\Bench\Following;
use App\Live\Push;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Task;

/** How many suspects were left after each act of an attempt that is still open: for the wall, never for its trainee. */
class FollowSuspects implements Work
{
    public function __construct(
        private readonly Following $following,
        private readonly Attempts $attempts,
        private readonly Push $push,
    ) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->find($task->payload['attempt']);
        if ($attempt === null || ! $attempt->isOpen() || ! $attempt->assignment->work->kind()->hasSuspects()) {
            return null;
        }
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $seen = $this->attempts->observations($attempt);
        $tracker = $this->following->tracker($assignment);
        $left = [];
        foreach ($tracker->moments($seen) as $moment) {
            if ($moment->isAfter) {
                $left[] = count($tracker->candidates());
                $task->tell(max(0, $moment->entry) / max(1, count($seen->entries)));
            }
        }
        Attempt::query()->whereKey($attempt->id)->toBase()->update([
            'curve' => json_encode(['entries' => count($seen->entries), 'left' => $left]),
        ]);
        $this->push->wall($assignment->course_id, 'curve', ['attempt' => $attempt->id, 'curve' => $left]);

        return null;
    }
}
