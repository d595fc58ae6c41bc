<?php

namespace App\Policies;

use App\Models\User;

/** Models with their faults are the instructors'. */
class AppliancePolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isInstructor();
    }

    public function view(User $user): bool
    {
        return $user->isInstructor();
    }
}
