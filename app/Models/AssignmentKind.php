<?php

namespace App\Models;

/** What a job is given for, and what follows from that. */
enum AssignmentKind: string
{
    case Practice = 'practice';
    case Exam = 'exam';
    /** To learn the bench by: nothing is marked, and it can be begun anew as often as one likes. */
    case WarmUp = 'warm-up';

    /** Seconds that a reply looks ahead: the same for every fault. */
    public function horizon(): int
    {
        return $this === self::Exam ? 2 : 10;
    }

    public function hasHints(): bool
    {
        return $this === self::Practice;
    }

    public function isMarked(): bool
    {
        return $this !== self::WarmUp;
    }
}
