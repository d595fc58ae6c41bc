<?php

namespace App\Models;

/** What somebody is at the school. */
enum Role: string
{
    /** Looks after people, the audit log and what is kept; teaches as an instructor does. */
    case Administrator = 'administrator';
    case Instructor = 'instructor';
    /** Reads and marks in the classes that were given to him; sets nothing. */
    case Assessor = 'assessor';
    case Trainee = 'trainee';

    /** Whether he has classes, models, jobs and rules of his own. */
    public function teaches(): bool
    {
        return $this === self::Administrator || $this === self::Instructor;
    }

    public function isStaff(): bool
    {
        return $this !== self::Trainee;
    }
}
