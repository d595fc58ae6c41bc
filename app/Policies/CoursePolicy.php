<?php

namespace App\Policies;

use App\Models\Course;
use App\Models\User;

class CoursePolicy
{
    public function viewAny(User $user): bool
    {
        return $user->teaches();
    }

    public function create(User $user): bool
    {
        return $user->teaches();
    }

    /** The classes in which one marks. */
    public function assess(User $user): bool
    {
        return $user->role->isStaff();
    }

    /** Into a class by its code: trainees only, since whoever leads a class gives its people new links. */
    public function join(User $user): bool
    {
        return ! $user->role->isStaff();
    }

    /** To practise on what is open to it: its trainees. */
    public function practise(User $user, Course $course): bool
    {
        return $course->trainees()->whereKey($user->id)->exists();
    }

    /** Who is in it and how they come in: for those who teach in it. */
    public function update(User $user, Course $course): bool
    {
        return $course->isTaughtBy($user);
    }

    /** Who teaches and marks in it: for the one who leads it. */
    public function lead(User $user, Course $course): bool
    {
        return $user->teaches() && $course->instructor_id === $user->id;
    }

    /** Its marks: for those who teach or mark in it. */
    public function view(User $user, Course $course): bool
    {
        return $course->isReadBy($user);
    }
}
