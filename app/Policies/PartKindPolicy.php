<?php

namespace App\Policies;

use App\Models\User;

/** The school's kinds of parts are the instructors'. */
class PartKindPolicy
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
