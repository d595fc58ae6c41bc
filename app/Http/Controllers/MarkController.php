<?php

namespace App\Http\Controllers;

use App\Jobs\MarkAttempt;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Course;
use App\Records\MarkList;
use App\Records\Statements;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Marks of a whole job: made again under other rules, how far that is, and as files to take away. */
class MarkController extends Controller
{
    /** Every attempt that was handed back is marked once more, beside the mark that it has. */
    public function store(Request $request, Assignment $assignment): JsonResponse
    {
        $this->authorize('view', $assignment);
        $rules = $request->validate(['rules' => ['required', 'integer', 'exists:rule_sets,id']], ['rules.exists' => 'There are no such house rules.'])['rules'];
        foreach ($assignment->attempts()->whereNotNull('handed_back_at')->whereNotNull('mark')->get(['id', 'marking']) as $attempt) {
            $attempt->update(['marking' => ['share' => 0]]);
            MarkAttempt::dispatch($attempt->id, (int) $rules, $request->user()->id);
        }

        return $this->show($assignment);
    }

    /** How far the marking of a job's attempts is. */
    public function show(Assignment $assignment): JsonResponse
    {
        $this->authorize('view', $assignment);
        $attempts = $assignment->attempts()->whereNotNull('handed_back_at')->get(['id', 'mark', 'marking']);
        $waiting = $attempts->filter(fn (Attempt $a) => $a->marking !== null && ! isset($a->marking['error']) || $a->mark === null && $a->marking === null);

        return response()->json([
            'of' => $attempts->count(), 'done' => $attempts->count() - $waiting->count(),
            'share' => $attempts->isEmpty() ? 1 : round(($attempts->count() - $waiting->count() + $waiting->sum(fn (Attempt $a) => $a->marking['share'] ?? 0)) / $attempts->count(), 3),
            'errors' => $attempts->map(fn (Attempt $a) => $a->marking['error'] ?? null)->filter()->unique()->values(),
        ]);
    }

    public function csv(Assignment $assignment): Response
    {
        $this->authorize('view', $assignment);

        return $this->list($assignment->attempts()->with(['user:id,name', 'assignment'])->get(), "marks-job-$assignment->id.csv");
    }

    public function courseCsv(Request $request, Course $course): Response
    {
        abort_unless($request->user()->isInstructor() && $course->instructor_id === $request->user()->id, 403);
        $attempts = Attempt::query()->whereIn('assignment_id', Assignment::query()->where('course_id', $course->id)->where('kind', '!=', Assignment::WARM_UP)->select('id'))
            ->with(['user:id,name', 'assignment'])->orderBy('assignment_id')->orderBy('id')->get();

        return $this->list($attempts, "marks-class-$course->id.csv");
    }

    public function xapi(Attempt $attempt): JsonResponse
    {
        $this->authorize('debrief', $attempt);

        return response()->json(Statements::of($attempt->load('user')), 200, ['Content-Disposition' => "attachment; filename=\"attempt-$attempt->id-xapi.json\""], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT);
    }

    /** @param \Illuminate\Support\Collection<int, Attempt> $attempts */
    private function list(\Illuminate\Support\Collection $attempts, string $name): Response
    {
        return response(MarkList::csv($attempts), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }
}
