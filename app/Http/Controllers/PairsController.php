<?php

namespace App\Http\Controllers;

use App\Models\Attempt;
use App\Models\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Whether two faults at once would have shown the same: asked for at the debrief, and how far it is. */
class PairsController extends Controller
{
    public function show(Attempt $attempt): JsonResponse
    {
        return response()->json(self::state($attempt));
    }

    /** @return array<string, mixed>|null how far it is, or what was found; null when nobody asked */
    public static function state(Attempt $attempt): ?array
    {
        if ($attempt->pairs !== null) {
            return $attempt->pairs;
        }
        $task = Task::find('pairs', "attempt:$attempt->id");

        return $task === null
            ? null
            : ['share' => (float) $task->share] + ($task->error === null ? [] : ['error' => $task->error]);
    }

    public function store(Request $request, Attempt $attempt): JsonResponse
    {
        if ($attempt->pairs === null) {
            Task::want($request->user(), 'pairs', "attempt:$attempt->id", ['attempt' => $attempt->id], again: true);
        }

        return $this->show($attempt->refresh());
    }
}
