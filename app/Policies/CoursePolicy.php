<?php

namespace App\Policies;

use App\Models\Course;
use App\Models\User;

class CoursePolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isInstructor();
    }

    public function create(User $user): bool
    {
        return $user->isInstructor();
    }

    /** Into a class by its code: trainees only, since whoever leads a class gives its people new links. */
    public function join(User $user): bool
    {
        return ! $user->isInstructor();
    }

    /** Who is in it and how they come in: for the instructor whose course it is. */
    public function update(User $user, Course $course): bool
    {
        return $this->view($user, $course);
    }

    /** Its marks: for the instructor whose course it is. */
    public function view(User $user, Course $course): bool
    {
        return $user->isInstructor() && $course->instructor_id === $user->id;
    }
}
