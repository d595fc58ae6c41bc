<?php

namespace App\Models;

/** How far a task has come. */
enum TaskState: string
{
    /** For another task of the same person. */
    case Waiting = 'waiting';
    /** For a worker. */
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';

    /** @return list<self> those after which nothing comes of itself */
    public static function over(): array
    {
        return [self::Done, self::Failed];
    }

    public function isOver(): bool
    {
        return in_array($this, self::over(), true);
    }
}
