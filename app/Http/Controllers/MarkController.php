<?php

namespace App\Http\Controllers;

use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\RuleSet;
use App\Models\Task;
use App\Models\TaskState;
use App\Records\MarkList;
use App\Records\Statements;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Marks of a whole job: made again under other rules, how far that is, and as files to take away. */
class MarkController extends Controller
{
    /** Every attempt that was handed back is marked once more, beside the mark that it has. */
    public function store(Request $request, Assignment $assignment): JsonResponse
    {
        $rules = $request->integer('rules');
        if (! RuleSet::query()->readableBy($request->user())->whereKey($rules)->exists()) {
            throw ValidationException::withMessages(['rules' => 'There are no such house rules.']);
        }
        foreach (
            $assignment
                ->attempts()
                ->whereNotNull('handed_back_at')
                ->whereNotNull('mark')
                ->get(['id']) as $attempt
        ) {
            Task::want($request->user(), 'mark-again', "attempt:$attempt->id:$rules:".Assignment::ENGINE, [
                'attempt' => $attempt->id,
                'rules' => $rules,
            ]);
        }

        return $this->show($assignment);
    }

    /** How far the marking of a job's attempts is. */
    public function show(Assignment $assignment): JsonResponse
    {
        $attempts = $assignment->attempts()->whereNotNull('handed_back_at')->get(['id', 'mark', 'handed_back_at']);
        $marking = self::marking($attempts->all());
        $waiting = array_filter($marking, fn (array $m) => ! isset($m['error']));

        return response()->json([
            'of' => $attempts->count(),
            'done' => $attempts->count() - count($waiting),
            'share' => $attempts->isEmpty()
                ? 1
                : round(
                    ($attempts->count() - count($waiting) + array_sum(array_column($waiting, 'share'))) /
                        $attempts->count(),
                    3,
                ),
            'errors' => array_values(array_unique(array_column($marking, 'error'))),
        ]);
    }

    /**
     * How far the marking of attempts is, of those that are being marked or could not be.
     *
     * @param array<Attempt> $attempts with their marks
     * @return array<int, array{share: float, error?: string}> by attempt
     */
    public static function marking(array $attempts): array
    {
        $marking = [];
        foreach ($attempts as $attempt) {
            if ($attempt->handed_back_at !== null && $attempt->mark === null) {
                $marking[$attempt->id] = ['share' => 0.0];
            }
        }
        $of = array_map(fn (Attempt $a) => $a->id, $attempts);
        // an error of a marking that was made in the end is none
        foreach (
            Task::query()
                ->whereIn('kind', ['mark', 'mark-again'])
                ->whereIn('payload->attempt', $of)
                ->where('state', '!=', TaskState::Done)
                ->get(['kind', 'payload', 'share', 'error', 'state']) as $task
        ) {
            $attempt = (int) $task->payload['attempt'];
            if ($task->kind === 'mark' ? isset($marking[$attempt]) : true) {
                $marking[$attempt] =
                    ['share' => (float) $task->share] + ($task->error === null ? [] : ['error' => $task->error]);
            }
        }

        return $marking;
    }

    public function csv(Assignment $assignment): Response
    {
        return $this->list(
            $assignment
                ->attempts()
                ->with(['user:id,name', 'assignment'])
                ->get(),
            "marks-job-$assignment->id.csv",
        );
    }

    public function courseCsv(Course $course): Response
    {
        $attempts = Attempt::query()
            ->whereIn(
                'assignment_id',
                Assignment::query()
                    ->where('course_id', $course->id)
                    ->whereIn('kind', AssignmentKind::counting())
                    ->select('id'),
            )
            ->with(['user:id,name', 'assignment'])
            ->orderBy('assignment_id')
            ->orderBy('id')
            ->get();

        return $this->list($attempts, "marks-class-$course->id.csv");
    }

    public function xapi(Attempt $attempt): JsonResponse
    {
        return response()->json(
            Statements::of($attempt->load('user')),
            200,
            ['Content-Disposition' => "attachment; filename=\"attempt-$attempt->id-xapi.json\""],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }

    /** @param \Illuminate\Support\Collection<int, Attempt> $attempts */
    private function list(\Illuminate\Support\Collection $attempts, string $name): Response
    {
        return response(MarkList::csv($attempts), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }
}
