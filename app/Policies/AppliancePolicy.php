<?php

namespace App\Policies;

use App\Models\Appliance;
use App\Models\User;

/** Models with their faults are for those who teach: the shipped ones, one's own, and those that are shared. */
class AppliancePolicy
{
    public function viewAny(User $user): bool
    {
        return $user->teaches();
    }

    public function view(User $user, Appliance $appliance): bool
    {
        return $appliance->isReadableBy($user);
    }
}
