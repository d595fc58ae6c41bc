<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** When a job is open to somebody, and when his time is over. */
class JobClock
{
    /** Why somebody cannot begin a job now, in a sentence; null when he can. */
    public static function refusal(Assignment $assignment, User $user): ?string
    {
        $extra = self::extra($assignment, $user->id);
        if ($extra === null) {
            return null;
        }
        $closes = $assignment->closes_at?->copy()->addMinutes($extra);

        return match (true) {
            $assignment->opens_at?->isFuture() === true => "“{$assignment->title}” is not open yet.",
            $closes?->isPast() === true => "“{$assignment->title}” is closed. Ask your instructor if you need more time.",
            default => self::locked($assignment, $user),
        };
    }

    /** What somebody must have passed before, in a sentence; null when he has, or nothing is asked. */
    private static function locked(Assignment $assignment, User $user): ?string
    {
        $before = $assignment->after_id === null ? null : $assignment->after;
        if ($before === null) {
            return null;
        }
        $done = Attempt::query()
            ->where('user_id', $user->id)
            ->whereIn('assignment_id', Assignment::query()->pooledWith($before)->select('id'))
            ->whereNotNull('mark')
            ->whereRaw("JSON_VALUE(mark, '$.passed') = true")
            ->when($assignment->after_mark !== null, fn (Builder $q) => $q
                ->whereRaw("JSON_VALUE(mark, '$.total') >= ?", [$assignment->after_mark]))
            ->exists();

        return $done ? null : "“{$assignment->title}” opens once you have passed “{$before->title}”".
            ($assignment->after_mark === null ? '.' : " with $assignment->after_mark or more.");
    }

    /** When the time of an attempt is over; null when there is no end to it. */
    public static function ends(Attempt $attempt): ?Carbon
    {
        $assignment = $attempt->assignment;
        $hasEnd = $assignment->closes_at !== null || $assignment->minutes !== null;
        $extra = $hasEnd ? self::extra($assignment, $attempt->user_id) : null;
        if ($extra === null) {
            return null;
        }
        $stood = $attempt->stopped_s +
            ($attempt->stopped_at === null ? 0 : now()->getTimestamp() - $attempt->stopped_at->getTimestamp());
        $ends = array_filter([
            $assignment->closes_at?->copy()->addMinutes($extra)->addSeconds($stood),
            $assignment->minutes === null
                ? null
                : $attempt->begun_at?->copy()->addMinutes($assignment->minutes + $extra)->addSeconds($stood),
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
            ->get(['id', 'assignment_id', 'user_id', 'begun_at', 'handed_back_at', 'stopped_at', 'stopped_s'])
            ->filter(fn (Attempt $attempt) => self::isOver($attempt))
            ->pluck('id')
            ->all();
    }

    /**
     * Minutes that somebody has beyond the others; null for whom it was not given to: who teaches tries it at any
     * time.
     */
    private static function extra(Assignment $assignment, int $user): ?int
    {
        return DB::table('assignment_user')
            ->where('assignment_id', $assignment->id)
            ->where('user_id', $user)
            ->value('extra_minutes');
    }
}
