<?php

namespace App\Policies;

use App\Models\User;

class UserPolicy
{
    /** To look after everybody's accounts, the audit log and what is kept. */
    public function administer(User $user): bool
    {
        return $user->isAdministrator();
    }

    /** To have a second factor: staff. */
    public function secure(User $user): bool
    {
        return $user->role->isStaff();
    }
}
