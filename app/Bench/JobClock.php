<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** When a job is open to somebody, and when his time is over. The instructor tries his own jobs at any time. */
class JobClock
{
    /** Why somebody cannot begin a job now, in a sentence; null when he can. */
    public static function refusal(Assignment $assignment, User $user): ?string
    {
        if ($assignment->instructor_id === $user->id) {
            return null;
        }
        $closes = self::closes($assignment, $user->id);

        return match (true) {
            $assignment->opens_at?->isFuture() === true => "“{$assignment->title}” is not open yet.",
            $closes?->isPast() === true => "“{$assignment->title}” is closed. Ask your instructor if you need more time.",
            default => null,
        };
    }

    /** When the time of an attempt is over; null when there is no end to it. */
    public static function ends(Attempt $attempt): ?Carbon
    {
        $assignment = $attempt->assignment;
        $hasEnd = $assignment->closes_at !== null || $assignment->minutes !== null;
        if (! $hasEnd || $assignment->instructor_id === $attempt->user_id) {
            return null;
        }
        $extra = self::extra($assignment, $attempt->user_id);
        $ends = array_filter([
            $assignment->closes_at?->copy()->addMinutes($extra),
            $assignment->minutes === null
                ? null
                : $attempt->begun_at?->copy()->addMinutes($assignment->minutes + $extra),
        ]);

        return $ends === [] ? null : min($ends);
    }

    /** Seconds that an attempt still has, by this clock and not by the browser's; null when there is no end to it. */
    public static function left(Attempt $attempt): ?int
    {
        $ends = self::ends($attempt);

        return $ends === null ? null : max(0, $ends->getTimestamp() - now()->getTimestamp());
    }

    public static function isOver(Attempt $attempt): bool
    {
        return self::ends($attempt)?->isPast() === true;
    }

    /**
     * Attempts that are open though their time is over: their people have left, or sleep.
     *
     * @return list<int> ids
     */
    public static function overdue(): array
    {
        return Attempt::query()
            ->whereNull('handed_back_at')
            ->whereHas(
                'assignment',
                fn (Builder $q) => $q->where('closes_at', '<', now())->orWhereNotNull('minutes'),
            )
            ->with('assignment')
            ->get(['id', 'assignment_id', 'user_id', 'begun_at', 'handed_back_at'])
            ->filter(fn (Attempt $attempt) => self::isOver($attempt))
            ->pluck('id')
            ->all();
    }

    private static function closes(Assignment $assignment, int $user): ?Carbon
    {
        return $assignment->closes_at?->copy()->addMinutes(self::extra($assignment, $user));
    }

    private static function extra(Assignment $assignment, int $user): int
    {
        return (int) DB::table('assignment_user')
            ->where('assignment_id', $assignment->id)
            ->where('user_id', $user)
            ->value('extra_minutes');
    }
}
