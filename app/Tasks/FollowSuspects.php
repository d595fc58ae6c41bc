<?php

namespace App\Tasks;

use App\Bench\Following;
use App\Live\Push;
use App\Models\Attempt;
use App\Models\Task;

/** How many suspects were left after each act of an attempt that is still open: for the wall, never for its trainee. */
class FollowSuspects implements Work
{
    public function __construct(
        private readonly Following $following,
        private readonly Push $push,
    ) {}

    public function do(Task $task): ?array
    {
        $attempt = Attempt::query()->find($task->payload['attempt']);
        if ($attempt === null || ! $attempt->isOpen() || ! $attempt->assignment->work->kind()->hasSuspects()) {
            return null;
        }
        [, $left] = $this->following->through($attempt, null, $task->tell(...));
        Attempt::query()->whereKey($attempt->id)->toBase()->update([
            'curve' => json_encode(['entries' => count($left) - 1, 'left' => $left]),
        ]);
        $this->push->wall($attempt->assignment->course_id, 'curve', ['attempt' => $attempt->id, 'curve' => $left]);

        return null;
    }
}
