<?php

namespace App\Policies;

use App\Models\Draft;
use App\Models\User;

/** Models are made by those who teach, and by those to whom a maker gives a share. */
class DraftPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->teaches();
    }

    public function create(User $user): bool
    {
        return $user->teaches();
    }

    public function view(User $user, Draft $draft): bool
    {
        return $draft->isReadableBy($user);
    }

    public function edit(User $user, Draft $draft): bool
    {
        return $draft->isEditableBy($user);
    }

    /** To throw it away: whoever began it. */
    public function delete(User $user, Draft $draft): bool
    {
        return $user->teaches() && $draft->user_id === $user->id;
    }
}
