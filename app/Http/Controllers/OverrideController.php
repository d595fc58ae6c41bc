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
        DB::transaction(function () use ($request, $attempt, $with, $weight, $judging): void {
            MarkOverride::query()->create([
                'attempt_id' => $attempt->id,
                'user_id' => $request->user()->id,
                'line' => $with['line'],
                'reason' => $with['reason'],
                'share' => ($with['points'] ?? null) === null ? null : $with['points'] / $weight,
            ]);
            $judging->stand($attempt);
        });

        return redirect("/attempts/$attempt->id/debrief");
    }
}
