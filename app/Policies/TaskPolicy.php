<?php

namespace App\Policies;

use App\Models\Task;
use App\Models\User;

/** How far something is concerns whoever waits for it. */
class TaskPolicy
{
    public function view(User $user, Task $task): bool
    {
        return $task->user_id === $user->id;
    }
}
