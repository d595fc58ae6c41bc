<?php

namespace App\Http\Controllers;

use App\Bench\Attempts;
use App\Bench\Pools;
use App\Models\Assignment;
use App\Models\AuditEntry;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;

/** When a job is open, who gets more time, and who gets it once more. */
class JobTimeController extends Controller
{
    public function window(Request $request, Assignment $assignment): RedirectResponse
    {
        [$opens, $closes] = [self::moment($request, 'opens_at'), self::moment($request, 'closes_at')];
        if ($opens !== null && $closes !== null && $closes->lessThanOrEqualTo($opens)) {
            throw ValidationException::withMessages(['closes_at' => 'It closes before it opens.']);
        }
        Assignment::query()->pooledWith($assignment)->get()->each->update([
            'opens_at' => $opens, 'closes_at' => $closes,
            'minutes' => $request->input('minutes') === null ? null : $request->integer('minutes'),
        ]);
        AuditEntry::note($request->user(), 'set job time', $assignment);

        return redirect("/jobs/$assignment->id");
    }

    /** More minutes for one person, beyond those of the others. */
    public function extra(Request $request, Assignment $assignment, User $user): RedirectResponse
    {
        abort_unless($assignment->trainees()->whereKey($user->id)->exists(), 404);
        $assignment->trainees()->updateExistingPivot($user->id, ['extra_minutes' => $request->integer('minutes')]);
        AuditEntry::note($request->user(), 'extend job', $user, [
            'job' => $assignment->id, 'minutes' => $request->integer('minutes'),
        ]);

        return redirect("/jobs/$assignment->id");
    }

    /** Once more from the arrival; what was done and its mark are kept aside. */
    public function again(Request $request, Assignment $assignment, User $user, Attempts $attempts): RedirectResponse
    {
        $attempt = $assignment->attempts()->where('user_id', $user->id)->first();
        abort_if($attempt === null, 404);
        if ($assignment->pool === null) {
            $attempts->again($attempt);
        } else {
            $drawn = Pools::drawAgain($assignment, $user);
            $had = $drawn->attempts()->where('user_id', $user->id)->first();
            if ($had !== null) { // all of the pool were had already
                $attempts->again($had);
            }
        }
        AuditEntry::note($request->user(), 'give job again', $user, ['job' => $assignment->id]);

        return redirect("/jobs/$assignment->id");
    }

    /** A moment of a request, which may be left out. */
    public static function moment(Request $request, string $name): ?Carbon
    {
        $text = (string) $request->input($name, '');
        if ($text === '') {
            return null;
        }
        try {
            return Carbon::parse($text)->utc();
        } catch (\Exception) {
            throw ValidationException::withMessages([$name => 'That is no day and time.']);
        }
    }
}
