<?php

namespace App\Http\Controllers;

use App\Jobs\WeighPairs;
use App\Models\Attempt;
use Illuminate\Http\JsonResponse;

/** Whether two faults at once would have shown the same: asked for at the debrief, and how far it is. */
class PairsController extends Controller
{
    public function show(Attempt $attempt): JsonResponse
    {
        $this->authorize('debrief', $attempt);

        return response()->json($attempt->pairs);
    }

    public function store(Attempt $attempt): JsonResponse
    {
        $this->authorize('debrief', $attempt);
        $stale = ! isset($attempt->pairs['left']) && $attempt->updated_at?->lt(now()->subMinutes(5));
        if ($attempt->pairs === null || isset($attempt->pairs['error']) || $stale) {
            $attempt->update(['pairs' => ['share' => 0]]);
            WeighPairs::dispatch($attempt->id);
        }

        return response()->json($attempt->fresh()?->pairs);
    }
}
