<?php

namespace App\Policies;

use App\Models\User;

/** House rules are read and written by instructors; what binds a trainee stands on his call sheet. */
class RuleSetPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->teaches();
    }

    public function create(User $user): bool
    {
        return $user->teaches();
    }
}
