<?php

namespace App\Policies;

use App\Models\Attempt;
use App\Models\User;

class AttemptPolicy
{
    public function work(User $user, Attempt $attempt): bool
    {
        return $attempt->user_id === $user->id;
    }

    /** To set a line of its mark otherwise: the instructor whose job it is. */
    public function judge(User $user, Attempt $attempt): bool
    {
        return ! $attempt->isOpen() && $user->isInstructor() && $attempt->assignment->instructor_id === $user->id;
    }

    /** The debrief shows the fault: to the trainee once the appliance is handed back, to his instructor too. */
    public function debrief(User $user, Attempt $attempt): bool
    {
        return ! $attempt->isOpen() &&
            ($attempt->user_id === $user->id ||
                ($user->isInstructor() && $attempt->assignment->instructor_id === $user->id));
    }
}
