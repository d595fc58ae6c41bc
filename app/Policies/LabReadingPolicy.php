<?php

namespace App\Policies;

use App\Models\LabReading;
use App\Models\User;

/** Readings of the lab are read by all who may read their model, and taken out again by whoever noted them. */
class LabReadingPolicy
{
    public function delete(User $user, LabReading $reading): bool
    {
        return $reading->user_id === $user->id && $reading->appliance->isReadableBy($user);
    }
}
