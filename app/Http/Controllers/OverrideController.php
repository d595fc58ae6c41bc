<?php

namespace App\Http\Controllers;

use App\Bench\MarkAttempts;
use App\Models\Attempt;
use App\Models\MarkOverride;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A line of a mark set otherwise by the instructor, with his reason; all that was said before is kept. */
class OverrideController extends Controller
{
    public function store(Request $request, Attempt $attempt, MarkAttempts $judging): RedirectResponse
    {
        $lines = array_column($attempt->mark['lines'] ?? [], 'weight', 'id');
        $with = $request->all();
        if (! isset($lines[$with['line']])) {
            throw ValidationException::withMessages(['line' => 'This mark has no such line.']);
        }
        $weight = $lines[$with['line']];
        if (($with['points'] ?? null) !== null && $with['points'] > $weight) {
            throw ValidationException::withMessages(['points' => "This line has $weight points at most."]);
        }
        // while a mark is contested and he can be the second marker, he is
        $contest = $attempt->contests()->whereNull('finished_at')->first();
        $second = $contest?->isFor($request->user()) === true ? $contest : null;
        DB::transaction(function () use ($request, $attempt, $with, $weight, $judging, $second): void {
            $second?->update(['marker_id' => $request->user()->id]);
            MarkOverride::query()->create([
                'attempt_id' => $attempt->id,
                'user_id' => $request->user()->id,
                'contest_id' => $second?->id,
                'line' => $with['line'],
                'reason' => $with['reason'],
                'share' => ($with['points'] ?? null) === null ? null : $with['points'] / $weight,
            ]);
            if ($second === null) {
                $judging->stand($attempt);
            }
        });

        return redirect("/attempts/$attempt->id/debrief");
    }
}
