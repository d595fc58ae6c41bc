<?php

namespace App\Http\Controllers;

use App\Http\Paper;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\User;
use App\Records\Gradebook;
use App\Support\Workbook;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;

/** What has been shown: by a class, and by oneself. */
class RecordController extends Controller
{
    public function course(Course $course): Response
    {
        return Inertia::render('Gradebook', Gradebook::of($course));
    }

    /** The record of a class as a workbook: marks, and competencies. */
    public function workbook(Course $course): HttpResponse
    {
        $of = Gradebook::of($course);
        $marks = [['trainee', ...array_column($of['jobs'], 'title')]];
        $shown = [['trainee', ...array_map(ucfirst(...), $of['competencies'])]];
        foreach ($of['people'] as $person) {
            $totals = array_column($person['marks'], 'total', 'job');
            $marks[] = [
                $person['name'],
                ...array_map(fn (int $job) => $totals[$job] ?? null, array_column($of['jobs'], 'id')),
            ];
            $shown[] = [$person['name'], ...array_map(
                fn (string $name) => isset($person['competencies'][$name])
                    ? round($person['competencies'][$name]['share'], 3)
                    : null,
                $of['competencies'],
            )];
        }

        return Paper::file(Workbook::write(['Marks' => $marks, 'Competencies' => $shown]), "record-$course->id.xlsx");
    }

    /** What one of a class has shown there, as a sheet to print. */
    public function sheet(Request $request, Course $course, User $user): HttpResponse
    {
        abort_unless($course->trainees()->whereKey($user->id)->exists(), 404);

        return $this->paper($request, $user, $course, "/courses/$course->id/record");
    }

    /** One's own record over all classes, as a sheet to print. */
    public function ownSheet(Request $request): HttpResponse
    {
        return $this->paper($request, $request->user(), null, '/progress');
    }

    private function paper(Request $request, User $user, ?Course $course, string $back): HttpResponse
    {
        // another sheet when something was marked since
        $state = hash('sha256', json_encode(Gradebook::ofPerson($user, $course), JSON_THROW_ON_ERROR));

        return Paper::answer(
            $request,
            "record:$user->id:".($course->id ?? 0).':'.substr($state, 0, 16),
            ['what' => 'record.pdf', 'person' => $user->id, 'course' => $course?->id],
            "record-$user->id.pdf",
            $back,
        );
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
