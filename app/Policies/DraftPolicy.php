<?php

namespace App\Policies;

use App\Models\Draft;
use App\Models\User;

/** Models are made by the instructors, together. */
class DraftPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isInstructor();
    }

    public function create(User $user): bool
    {
        return $user->isInstructor();
    }

    public function edit(User $user): bool
    {
        return $user->isInstructor();
    }

    /** To throw it away: whoever began it. */
    public function delete(User $user, Draft $draft): bool
    {
        return $user->isInstructor() && $draft->user_id === $user->id;
    }
}
