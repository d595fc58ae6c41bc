<?php

namespace App\Http;

use App\Models\Task;
use App\Models\TaskState;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;

/** A file that takes a while to make: the file when it is made, until then a page that says how far it is. */
class Paper
{
    private const TYPES = [
        'pdf' => 'application/pdf',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'svg' => 'image/svg+xml',
        'cir' => 'text/plain; charset=utf-8',
        'csv' => 'text/csv; charset=utf-8',
        'json' => 'application/json',
    ];

    /**
     * @param string $subject what the paper is of: another when that has changed
     * @param array<string, mixed> $payload for MakePaper
     * @param string $name of the file
     * @param string $back where one came from
     */
    public static function answer(
        Request $request,
        string $subject,
        array $payload,
        string $name,
        string $back,
    ): Response {
        $user = $request->user();
        $task = Task::want($user, 'paper', "$user->id:$subject", $payload); // each person waits for his own
        if ($task->state === TaskState::Done) {
            return self::file((string) $task->file, $name);
        }
        if ($request->expectsJson()) {
            return response()->json($task->shown(), $task->state === TaskState::Failed ? 422 : 202);
        }

        return Inertia::render('Working', [
            'task' => $task->shown(),
            'title' => $name,
            'goes' => $request->getRequestUri(),
            'isFile' => true,
            'back' => $back,
        ])
            ->toResponse($request)
            ->setStatusCode($task->state === TaskState::Failed ? 422 : 202);
    }

    public static function file(string $content, string $name): Response
    {
        return response($content, 200, [
            'Content-Type' => self::TYPES[pathinfo($name, PATHINFO_EXTENSION)] ?? 'application/octet-stream',
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }
}
