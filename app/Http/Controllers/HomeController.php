<?php

namespace App\Http\Controllers;

use App\Bench\JobClock;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Role;
use App\Models\RuleSet;
use App\Models\Task;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Inertia\Inertia;
use Inertia\Response;

/** Where one lands: the shop for an instructor, the own jobs for a trainee. */
class HomeController extends Controller
{
    public function __invoke(Request $request): Response|RedirectResponse
    {
        $user = $request->user();

        return match (true) {
            $user->teaches() => $this->shop($user),
            $user->role === Role::Assessor => redirect('/assess')->with('flash', $request->session()->get('flash')),
            default => $this->myJobs($user),
        };
    }

    private function shop(User $user): Response
    {
        $assignments = Assignment::query()
            ->select(Assignment::LIGHT)
            ->whereIn('course_id', Course::query()->taughtBy($user)->select('id'))
            ->whereIn('kind', AssignmentKind::given())
            ->with(['attempts:id,assignment_id,user_id,handed_back_at,mark', 'course:id,name', 'trainees:id'])
            ->latest('id')
            ->get();

        return Inertia::render('Shop', [
            'courses' => Course::query()
                ->taughtBy($user)
                ->withCount('trainees')
                ->get(['id', 'name'])
                ->map(fn (Course $c): array => $c->only(['id', 'name', 'trainees_count'])),
            'growing' => $this->growing(),
            'sets' => RuleSet::newest($user)->count(),
            'models' => Appliance::query()->offered()->readableBy($user)->get(['id', 'name', 'title']),
            'jobs' => $assignments->groupBy(fn (Assignment $a) => $a->pool ?? $a->id)->values()
                ->map(fn (Collection $all) => $all->last()->briefing() + [
                    'course' => $all->last()->course->name,
                    'faults' => $all->count(),
                    'given' => $all->sum(fn (Assignment $a) => $a->trainees->count()),
                    'running' => $all->sum(
                        fn (Assignment $a) => $a->attempts->whereIn(
                            'user_id',
                            $a->trainees->modelKeys(),
                        )->whereNull('handed_back_at')->count(),
                    ),
                    'done' => $all->sum(
                        fn (Assignment $a) => $a->attempts->whereIn(
                            'user_id',
                            $a->trainees->modelKeys(),
                        )->whereNotNull('handed_back_at')->count(),
                    ),
                ]),
        ]);
    }

    /** How far the demo's weeks of work are made, while they are. */
    private function growing(): ?float
    {
        $task = Task::find('demo', 'demo');

        return $task === null || $task->isOver() ? null : (float) $task->share;
    }

    private function myJobs(User $user): Response
    {
        $assignments = $user
            ->assignments()
            ->select(array_map(fn ($c) => "assignments.$c", Assignment::LIGHT))
            ->latest('assignments.id')
            ->get();
        $attempts = Attempt::query()
            ->where('user_id', $user->id)
            ->get(['id', 'assignment_id', 'handed_back_at', 'mark'])
            ->keyBy('assignment_id');

        return Inertia::render('MyJobs', [
            'open' => Course::query()
                ->whereHas('trainees', fn ($q) => $q->whereKey($user->id))
                ->with('freeBenches:id,title')->get()
                ->flatMap(fn (Course $c) => $c->freeBenches->map(fn (Appliance $a) => [
                    'course' => $c->id, 'appliance' => $a->id, 'title' => $a->title,
                ])),
            'jobs' => $assignments->map(fn (Assignment $a) => $a->briefing() + [
                'why_not' => JobClock::refusal($a, $user),
                'can_begin' => JobClock::refusal($a, $user) === null,
                'attempt' => ($attempts[$a->id] ?? null)?->id,
                'handed_back' => ($attempts[$a->id] ?? null)?->handed_back_at !== null,
                'total' => ($attempts[$a->id] ?? null)?->mark['total'] ?? null,
                'passed' => ($attempts[$a->id] ?? null)?->mark['passed'] ?? null,
            ]),
        ]);
    }
}
