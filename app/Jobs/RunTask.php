<?php

namespace App\Jobs;

use App\Models\Task;
use App\Models\TaskState;
use App\Tasks\Kinds;
use App\Tasks\Work;
use App\Tasks\WorkError;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Log;
use Throwable;

/** Does a task, and sees that the next of the same person is begun after it. */
class RunTask implements ShouldQueue
{
    use Queueable;

    public int $timeout = Task::LONGEST_S;

    /** The task counts its own tries. */
    public int $tries = 0;

    public function __construct(public int $task) {}

    public function handle(): void
    {
        $isMine = Task::query()
            ->whereKey($this->task)
            ->where('state', TaskState::Queued)
            ->increment('tries', 1, [
                'state' => TaskState::Running,
                'worker' => config('spark.worker'),
                'started_at' => now(),
                'doing' => 'Running',
            ]);
        if ($isMine === 0) {
            return; // done by another in the meantime, or thrown away
        }
        $task = Task::query()->findOrFail($this->task);
        try {
            $work = app(Kinds::work($task->kind));
            assert($work instanceof Work);
            $task->finish($work->do($task));
        } catch (WorkError $e) {
            $task->fail($e->getMessage());
        } catch (Throwable $e) {
            Log::error($e->getMessage(), ['exception' => $e, 'task' => $task->id]);
            $task->fail(
                'Something went wrong on the server. Try again; if it happens again, tell whoever runs this site: task '.
                    $task->id.
                    '.',
            );
        }
    }
}
