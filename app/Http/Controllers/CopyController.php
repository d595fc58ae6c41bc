<?php

namespace App\Http\Controllers;

use App\Bench\CopyJobs;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AuditEntry;
use App\Models\Course;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Inertia\Inertia;
use Inertia\Response;

/** Jobs given again to another class, one by one or a whole plan of weeks. */
class CopyController extends Controller
{
    public function __construct(private readonly CopyJobs $copies) {}

    public function job(Request $request, Assignment $assignment): RedirectResponse
    {
        $course = $this->ownClass($request, 'course');
        $made = $this->copies->job($assignment, $request->user(), $course);
        AuditEntry::note($request->user(), 'copy job', $assignment, ['to' => $course->id]);

        return redirect("/jobs/{$made[0]->id}")->with('flash', "Given to “{$course->name}”.");
    }

    /** The jobs of a class by weeks. */
    public function plan(Request $request, Course $course): Response
    {
        $jobs = Assignment::query()
            ->select(Assignment::LIGHT)->where('course_id', $course->id)->whereIn('kind', AssignmentKind::given())
            ->withCount(['trainees', 'attempts as done' => fn ($q) => $q->whereNotNull('handed_back_at')])
            ->orderByRaw('COALESCE(opens_at, created_at)')->orderBy('id')->get();

        return Inertia::render('Plan', [
            'course' => ['id' => $course->id, 'name' => $course->name],
            'classes' => Course::query()->taughtBy($request->user())->whereKeyNot($course->id)->orderBy('name')
                ->get(['id', 'name'])->map(fn (Course $c) => ['id' => $c->id, 'name' => $c->name]),
            'may_copy' => $request->user()->can('update', $course),
            'jobs' => $jobs->unique(fn (Assignment $a) => $a->pool ?? $a->id)->values()->map(fn (Assignment $a) => [
                'id' => $a->id, 'title' => $a->title, 'kind' => $a->kind->value, 'pool' => $a->pool !== null,
                'opens_at' => $a->opens_at?->toIso8601String(), 'closes_at' => $a->closes_at?->toIso8601String(),
                'minutes' => $a->minutes, 'given_at' => (string) $a->created_at?->toIso8601String(),
                'after' => $a->after?->title,
                'trainees' => (int) $jobs->where('pool', $a->pool)->when(
                    $a->pool === null,
                    fn ($j) => $j->where('id', $a->id),
                )->sum('trainees_count'),
                'done' => (int) $jobs->where('pool', $a->pool)->when(
                    $a->pool === null,
                    fn ($j) => $j->where('id', $a->id),
                )->sum('done'),
            ]),
        ]);
    }

    public function copyPlan(Request $request, Course $course): RedirectResponse
    {
        $to = $this->ownClass($request, 'to');
        $many = $this->copies->plan($course, $request->user(), $to, Carbon::parse($this->text($request, 'starts_on')));
        AuditEntry::note($request->user(), 'copy plan', $course, ['to' => $to->id, 'jobs' => $many]);

        return redirect("/courses/$to->id/plan")->with('flash', "$many jobs given to “{$to->name}”.");
    }

    private function ownClass(Request $request, string $field): Course
    {
        $course = Course::query()->taughtBy($request->user())->find($request->integer($field));
        abort_if($course === null, 404);

        return $course;
    }
}
