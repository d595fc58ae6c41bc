<?php

namespace App\Http\Controllers;

use App\Models\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** How far something is that takes long: for whoever waits for it. */
class TaskController extends Controller
{
    public function __invoke(Request $request, Task $task): JsonResponse|RedirectResponse|Response
    {
        if ($request->expectsJson() && ! $request->header('X-Inertia')) {
            return response()->json($task->shown() + ['goes' => $task->result['goes'] ?? null]);
        }
        if (isset($task->result['goes'])) {
            return redirect($task->result['goes']);
        }

        return Inertia::render('Working', [
            'task' => $task->shown(),
            'title' => $task->payload['title'] ?? 'Working',
            'goes' => "/tasks/$task->id",
            'isFile' => false,
            'back' => $task->payload['back'] ?? '/',
        ]);
    }
}
