<?php

namespace App\Models;

/** What a job is given for, and what follows from that. */
enum AssignmentKind: string
{
    case Practice = 'practice';
    case Exam = 'exam';
    /** To learn the bench by: nothing is marked, and it can be begun anew as often as one likes. */
    case WarmUp = 'warm-up';
    /** The instructor works it where all can see it. */
    case Demonstration = 'demonstration';
    /** Practised at will, with a fault drawn or none: marked for one's own eyes. */
    case Free = 'free';

    /** Seconds that a reply looks ahead: the same for every fault. */
    public function horizon(): int
    {
        return $this === self::Exam ? 2 : 10;
    }

    public function hasHints(): bool
    {
        return $this === self::Practice || $this === self::Free || $this === self::Demonstration;
    }

    public function isMarked(): bool
    {
        return $this !== self::WarmUp;
    }

    /** Whether its marks are in the record of the class. */
    public function counts(): bool
    {
        return $this === self::Practice || $this === self::Exam;
    }

    /**
     * Those that an instructor sets up, and sees among his jobs.
     *
     * @return list<self>
     */
    public static function given(): array
    {
        return [self::Practice, self::Exam, self::Demonstration];
    }

    /** @return list<self> those whose marks are in the record of a class */
    public static function counting(): array
    {
        return array_values(array_filter(self::cases(), fn (self $kind) => $kind->counts()));
    }
}
