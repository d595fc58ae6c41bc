<?php

namespace App\Policies;

use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\User;

class AssignmentPolicy
{
    public function create(User $user): bool
    {
        return $user->teaches();
    }

    /** Its fault, its results: for those who teach or mark in its class. */
    public function view(User $user, Assignment $assignment): bool
    {
        return $assignment->kind !== AssignmentKind::Free && $assignment->course->isReadBy($user);
    }

    /** When it is open, who gets more time, under which rules it is marked: for those who teach in its class. */
    public function update(User $user, Assignment $assignment): bool
    {
        return $assignment->kind !== AssignmentKind::Free && $assignment->course->isTaughtBy($user);
    }

    /** To work on it: those to whom it was given, and the instructor to try it himself. */
    public function work(User $user, Assignment $assignment): bool
    {
        return ($user->teaches() && $this->update($user, $assignment)) ||
            $assignment->trainees()->whereKey($user->id)->exists() ||
            (! $assignment->kind->isMarked() &&
                $assignment->course->trainees()->whereKey($user->id)->exists());
    }
}
