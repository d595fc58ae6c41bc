<?php

namespace App\Http\Controllers;

use App\Models\Appliance;
use App\Models\AssignmentKind;
use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Task;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;

/**
 * Models that a class can practise on at will: opened by its instructor, begun by its trainees, seen by nobody else.
 */
class FreeBenchController extends Controller
{
    /** Practised appliances that are kept for each. */
    private const KEPT = 10;

    /** Open or not for a class of one's own. */
    public function open(Request $request, Appliance $appliance): RedirectResponse
    {
        $course = Course::query()->taughtBy($request->user())->find($request->integer('course'));
        abort_if($course === null, 404);
        $request->boolean('open')
            ? $course->freeBenches()->syncWithoutDetaching([$appliance->id])
            : $course->freeBenches()->detach($appliance->id);
        $act = $request->boolean('open') ? 'open free bench' : 'close free bench';
        AuditEntry::note($request->user(), $act, $course, ['appliance' => $appliance->id]);

        return back();
    }

    /** Healthy, or with a fault that nobody is told: a job for oneself alone. */
    public function practise(Request $request, Course $course, Appliance $appliance): RedirectResponse
    {
        abort_unless($course->freeBenches()->whereKey($appliance->id)->exists(), 404);
        $user = $request->user();
        $model = $appliance->model();
        $visits = $model->visits();
        $seed = random_int(1, 0x7FFFFF);
        self::forgetOld($user);
        $task = Task::want($user, 'give', (string) Str::uuid(), [
            'title' => "Setting up “{$appliance->title}”",
            'back' => '/',
            'job' => [
                'appliance' => $appliance->id, 'course' => $course->id, 'instructor' => $course->instructor_id,
                'trainees' => [$user->id], 'begin' => $user->id, 'title' => $appliance->title,
                'fault' => $this->text($request, 'fault') === 'healthy' ? Fault::HEALTHY : self::drawn($model, $seed),
                'visit' => $visits[$seed % count($visits)], 'kind' => AssignmentKind::Free->value, 'complaint' => null,
                'seed' => $seed, 'kit' => [], 'stops' => false, 'rules' => 0,
            ],
        ]);

        return redirect($task->result['goes'] ?? "/tasks/$task->id");
    }

    /** Of what somebody has practised the last are kept: each holds an appliance of its own. */
    private static function forgetOld(User $user): void
    {
        $user->assignments()->where('kind', AssignmentKind::Free)->latest('assignments.id')->skip(self::KEPT - 1)
            ->take(PHP_INT_MAX)->get(['assignments.id'])->each->delete();
    }

    /** A fault by its weight: what is frequent comes more often. */
    private static function drawn(Model $model, int $seed): string
    {
        $faults = array_filter(FaultSet::of($model)->faults, fn (Fault $f) => $f->id !== Fault::HEALTHY);
        $at = ($seed / 0x7FFFFF) * array_sum(array_map(fn (Fault $f) => $f->weight, $faults));
        foreach ($faults as $fault) {
            $at -= $fault->weight;
            if ($at <= 0) {
                return $fault->id;
            }
        }

        return (string) array_key_last($faults);
    }
}
