<?php

namespace App\Tasks;

use App\Building\DraftEditor;
use App\Models\Task;
use App\Models\User;

/**
 * Begins a draft of a document that was read and found good: its board is laid out, which takes a while for a large
 * one.
 */
class ImportModel implements Work
{
    public function __construct(private readonly DraftEditor $drafting) {}

    public function do(Task $task): ?array
    {
        ['document' => $text, 'words' => $words] = $task->payload;
        $draft = $this->drafting->begin(
            User::query()->findOrFail($task->user_id),
            json_decode($text, true, 64, JSON_THROW_ON_ERROR),
            $words,
            $task->subject,
        );
        Task::query()
            ->whereKey($task->id)
            ->update([
                'payload' => json_encode(['title' => $task->payload['title'], 'back' => $task->payload['back']]),
            ]);

        return ['goes' => "/drafts/$draft->id"];
    }
}
