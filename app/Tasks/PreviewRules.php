<?php

namespace App\Tasks;

use App\Bench\MarkAttempts;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Task;
use App\Models\User;
use OddSpark\Marking\Rules;

/** What house rules that are still being written would make of the last attempts at an instructor's jobs. */
class PreviewRules implements Work
{
    /** Attempts that are marked: enough to see what changes. */
    private const LAST = 10;

    public function __construct(private readonly MarkAttempts $judging) {}

    public function do(Task $task): ?array
    {
        $rules = Rules::of($task->payload['document']);
        $attempts = self::last(User::query()->findOrFail($task->user_id));
        $rows = [];
        foreach ($attempts as $i => $attempt) {
            $task->tell($i / max(1, count($attempts)));
            [$old, $new] = [$attempt->mark, $this->judging->under($attempt, $rules)];
            $rows[] = [
                'attempt' => $attempt->id,
                'trainee' => $attempt->user->name,
                'job' => $attempt->assignment->title,
                'old' => ['total' => $old['total'], 'passed' => $old['passed'], 'rules' => $old['rules']['title']],
                'new' => ['total' => $new['total'], 'passed' => $new['passed'], 'not_passed' => $new['not_passed']],
            ];
        }

        return ['rows' => $rows];
    }

    /** @return list<Attempt> the last that were marked of an instructor's jobs, the latest first */
    public static function last(User $instructor): array
    {
        return Attempt::query()
            ->with(['user', 'assignment'])
            ->whereHas('assignment', fn ($jobs) => $jobs
                ->whereIn('kind', AssignmentKind::counting())
                ->whereIn('course_id', Course::query()->taughtBy($instructor)->select('id')))
            ->whereNotNull('mark')
            ->orderByDesc('handed_back_at')
            ->limit(self::LAST)
            ->get()
            ->all();
    }
}
