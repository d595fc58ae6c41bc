<?php

namespace App\Http\Controllers;

use App\Bench\JobClock;
use App\Live\Supervision;
use App\Live\Wall;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Acts\ActError;

/** A class at work: seen as a whole, and what its instructor does to it. */
class WallController extends Controller
{
    public function __construct(private readonly Supervision $supervision) {}

    public function show(Request $request, Course $course): Response
    {
        return Inertia::render('Wall', [
            'course' => ['id' => $course->id, 'name' => $course->name],
            'stopped' => $course->stopped_at !== null,
            'may_act' => $request->user()->can('update', $course),
            'rows' => Wall::rows($course),
        ]);
    }

    /**
     * The suspects that are left to each, asked for where somebody has acted since; found as long as somebody looks.
     */
    public function curves(Request $request, Course $course): JsonResponse
    {
        $rows = Wall::rows($course);
        foreach ($rows as $row) {
            if (! $row['done'] && $row['suspects'] && count($row['curve']) - 1 < $row['entries']) {
                Task::want(
                    $request->user(),
                    'curve',
                    "attempt:{$row['attempt']}:{$row['entries']}",
                    ['attempt' => $row['attempt']],
                );
            }
        }

        return response()->json(['rows' => $rows]);
    }

    public function stop(Request $request, Course $course): JsonResponse
    {
        $stopped = $request->boolean('stopped');
        $benches = $this->supervision->stop($course, $request->user(), $stopped);
        AuditEntry::note(
            $request->user(),
            $stopped ? 'stop benches' : 'let benches go on',
            $course,
            ['benches' => $benches],
        );

        return response()->json(['benches' => $benches]);
    }

    /** Said to one at the bench, or by him. */
    public function say(Request $request, Attempt $attempt): JsonResponse
    {
        $event = $this->supervision->say($attempt, $request->user(), trim($this->text($request, 'text')));

        return response()->json(['event' => $event->shown($request->user()->id)]);
    }

    /** What was said between one at the bench and his instructors. */
    public function said(Request $request, Attempt $attempt): JsonResponse
    {
        return response()->json(['events' => $attempt->events()->with('user:id,name')->get()
            ->map(fn (AttemptEvent $e) => $e->shown($request->user()->id))]);
    }

    public function hint(Request $request, Attempt $attempt): JsonResponse
    {
        if (! $attempt->assignment->work->isAtBench()) {
            throw new ActError('/', 'There are no hints at a sheet but those that are taken there.');
        }
        $entries = $attempt->entries_count;
        $grade = $this->text($request, 'grade');
        $task = Task::want(
            $request->user(),
            'tell-hint',
            "attempt:$attempt->id:$entries:$grade",
            ['attempt' => $attempt->id, 'grade' => $grade],
        );
        AuditEntry::note($request->user(), 'give hint', $attempt);

        return response()->json($task->shown() + ['goes' => null]);
    }

    public function end(Request $request, Attempt $attempt): JsonResponse
    {
        $this->supervision->end($attempt, $request->user());
        if ($attempt->fresh()?->isOpen() === false && $attempt->assignment->kind->isMarked()) {
            Task::want($attempt->user, 'mark', "attempt:$attempt->id", ['attempt' => $attempt->id]);
        }
        AuditEntry::note($request->user(), 'end attempt', $attempt);

        return response()->json(['ended' => true]);
    }

    public function hand(Request $request, Attempt $attempt): JsonResponse
    {
        $this->supervision->hand($attempt, $request->user(), $request->boolean('up'));

        return response()->json(['up' => $request->boolean('up')]);
    }

    /** That the page was left, or the connection lost, for so many seconds. */
    public function away(Request $request, Attempt $attempt): JsonResponse
    {
        $seconds = $request->integer('seconds');
        $given = 0;
        if ($this->text($request, 'what') === 'page') {
            $this->supervision->leftPage($attempt, $seconds);
        } else {
            $given = $this->supervision->lostConnection($attempt, $seconds);
        }

        return response()->json(['given_s' => $given, 'left_s' => JobClock::left($attempt->fresh())]);
    }

    /** The line to a class: who may have it is said by the route, and nginx holds it. */
    public function listenToClass(Course $course): PlainResponse
    {
        return self::held("wall-$course->id");
    }

    public function listenAtBench(Attempt $attempt): PlainResponse
    {
        return self::held("bench-$attempt->id");
    }

    private static function held(string $channel): PlainResponse
    {
        return response('', headers: ['X-Accel-Redirect' => "/hold/$channel"]);
    }
}
