<?php

namespace App\Policies;

use App\Models\Assignment;
use App\Models\User;

class AssignmentPolicy
{
    public function create(User $user): bool
    {
        return $user->isInstructor();
    }

    /** Its fault, its results: for the instructor who gave it. */
    public function view(User $user, Assignment $assignment): bool
    {
        return $user->isInstructor() && $assignment->instructor_id === $user->id;
    }

    /** To work on it: those to whom it was given, and the instructor to try it himself. */
    public function work(User $user, Assignment $assignment): bool
    {
        return $this->view($user, $assignment) ||
            $assignment->trainees()->whereKey($user->id)->exists() ||
            (! $assignment->kind->isMarked() &&
                $assignment->course->trainees()->whereKey($user->id)->exists());
    }
}
