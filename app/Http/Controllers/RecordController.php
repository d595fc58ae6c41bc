<?php

namespace App\Http\Controllers;

use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Records\Gradebook;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** What has been shown: by a class, and by oneself. */
class RecordController extends Controller
{
    public function course(Course $course): Response
    {
        return Inertia::render('Gradebook', Gradebook::of($course));
    }

    /** The classes in which somebody marks, with their jobs. */
    public function assess(Request $request): Response
    {
        return Inertia::render('Assess', [
            'courses' => Course::query()->readBy($request->user())->with('instructor:id,name')->orderBy('name')->get()
                ->map(fn (Course $course) => [
                    'id' => $course->id, 'name' => $course->name, 'leader' => $course->instructor->name,
                    'jobs' => Assignment::query()
                        ->select(['id', 'title', 'kind'])
                        ->where('course_id', $course->id)
                        ->whereIn('kind', AssignmentKind::given())
                        ->withCount(['attempts', 'attempts as done' => fn ($q) => $q->whereNotNull('handed_back_at')])
                        ->latest('id')->get()
                        ->map(fn (Assignment $a) => [
                            'id' => $a->id, 'title' => $a->title, 'kind' => $a->kind->value,
                            'done' => (int) $a->getAttribute('done'),
                            'running' => $a->getAttribute('attempts_count') - $a->getAttribute('done'),
                        ]),
                ]),
        ]);
    }

    public function own(Request $request): Response
    {
        return Inertia::render('Progress', Gradebook::ofPerson($request->user()));
    }
}
