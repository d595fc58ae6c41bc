<?php

namespace App\Http\Controllers;

use App\Bench\MarkAttempts;
use App\Models\Attempt;
use App\Models\AuditEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A mark contested by its trainee, and marked by a second one. */
class ContestController extends Controller
{
    public function store(Request $request, Attempt $attempt): RedirectResponse
    {
        DB::transaction(function () use ($request, $attempt): void {
            $attempt = Attempt::query()->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->mark === null || $attempt->contests()->whereNull('finished_at')->exists()) {
                throw ValidationException::withMessages(
                    ['reason' => 'This mark cannot be contested now: it is not made yet, or contested already.'],
                );
            }
            $attempt->contests()->create([
                'reason' => trim($this->text($request, 'reason')),
                'first_total' => $attempt->mark['total'], 'first_passed' => $attempt->mark['passed'],
            ]);
            AuditEntry::note($request->user(), 'contest mark', $attempt);
        });

        return redirect("/attempts/$attempt->id/debrief");
    }

    /** The second marker has finished: his mark stands, and both are kept. */
    public function finish(Request $request, Attempt $attempt, MarkAttempts $judging): RedirectResponse
    {
        DB::transaction(function () use ($request, $attempt, $judging): void {
            $contest = $attempt->contests()->whereNull('finished_at')->lockForUpdate()->first();
            abort_if($contest === null || ! $contest->isFor($request->user()), 404);
            $contest->update(['marker_id' => $request->user()->id, 'finished_at' => now()]);
            $judging->stand($attempt->fresh());
            $contest->update(['second_total' => $attempt->fresh()->mark['total']]);
            AuditEntry::note($request->user(), 'finish second marking', $attempt);
        });

        return redirect("/attempts/$attempt->id/debrief");
    }
}
