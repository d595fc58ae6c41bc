<?php

namespace App\Bench;

use App\Models\Attempt;
use App\Models\Task;

/** Hints that are worked out beside the site, with the attempt free for what is done meanwhile. */
class Hints
{
    /**
     * The entry of a hint, which is asked for if it is not yet.
     *
     * @return array<string, mixed>
     */
    public function asked(Attempt $attempt, string $clientId): array
    {
        $entry = $attempt->entries()->where('client_id', $clientId)->firstOrFail();
        if (isset($entry->outcome['waits'])) {
            Task::want($attempt->user, 'hint', "entry:$entry->id", ['entry' => $entry->id]);
            $entry->refresh();
        }

        return $entry->shown();
    }

    /**
     * A hint that is being worked out, or has been: how far it is, and its entry.
     *
     * @return array{entry: array<string, mixed>, share: float, error: string|null}
     */
    public function waiting(Attempt $attempt, string $clientId): array
    {
        $shown = $this->asked($attempt, $clientId);
        $task = isset($shown['waits'])
            ? Task::find('hint', 'entry:'.$attempt->entries()->where('client_id', $clientId)->value('id'))
            : null;

        return ['entry' => $shown, 'share' => (float) ($task->share ?? 1), 'error' => $task?->error];
    }
}
