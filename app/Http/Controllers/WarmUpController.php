<?php

namespace App\Http\Controllers;

use App\Bench\AssignJob;
use App\Bench\Attempts;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use OddSpark\Bench\WarmUp;
use OddSpark\Faults\Fault;

/** Five minutes on a training board, for whoever belongs to a class: as often as he likes, and marked by nobody. */
class WarmUpController extends Controller
{
    public function store(Request $request, AssignJob $giving, Attempts $attempts): RedirectResponse
    {
        $user = $request->user();
        $course = Course::query()->taughtBy($user)->first()
            ?? Course::query()->whereHas('trainees', fn ($q) => $q->whereKey($user->id))->first();
        abort_if($course === null, 403, 'You are in no class yet; ask your instructor.');
        // one for each class, however many begin at the same moment
        $assignment = Cache::lock("warm-up-$course->id", 30)->block(
            30,
            fn () => Assignment::query()
                ->where(['course_id' => $course->id, 'kind' => AssignmentKind::WarmUp, 'engine' => Assignment::ENGINE])
                ->first() ??
                $giving->give(
                    $course->instructor,
                    Appliance::ship(WarmUp::MODEL),
                    $course,
                    [],
                    'Warm-up: the bench and the meter',
                    Fault::HEALTHY,
                    WarmUp::VISIT,
                    AssignmentKind::WarmUp,
                    'Nothing is wrong with this board. Learn the bench on it.',
                    1,
                ),
        );
        $assignment->attempts()->where('user_id', $user->id)->whereNotNull('handed_back_at')->delete();
        $attempt = $attempts->start($assignment, $user);

        return redirect("/attempts/$attempt->id");
    }
}
