<?php

namespace App\Live;

use App\Bench\JobClock;
use App\Bench\Workbench;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use App\Models\AttemptEventKind;
use App\Models\Course;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What an instructor does to benches at work, and what is noted of those who work at them. */
class Supervision
{
    /** Seconds that a lost connection stops the clock for, in all: more could be made up. */
    public const LOST_S = 300;

    public function __construct(private readonly Push $push, private readonly Workbench $workbench) {}

    /** Stops all benches of a class, or lets them go on; the clock of each stands as long. Returns how many. */
    public function stop(Course $course, User $by, bool $stopped): int
    {
        // few queries, however many benches: it reaches all of them within a second
        $ids = DB::transaction(function () use ($course, $by, $stopped): array {
            Course::query()->whereKey($course->id)->update(['stopped_at' => $stopped ? now() : null]);
            $ids = Attempt::query()
                ->whereIn('assignment_id', Assignment::query()->where('course_id', $course->id)->select('id'))
                ->whereNull('handed_back_at')
                ->whereNull('stopped_at', not: ! $stopped)
                ->lockForUpdate()
                ->pluck('id')->all();
            Attempt::query()->whereKey($ids)->toBase()->update($stopped ? ['stopped_at' => now()] : [
                'stopped_s' => DB::raw(
                    'stopped_s + GREATEST(0, TIMESTAMPDIFF(SECOND, stopped_at, '.DB::getPdo()->quote(
                        now()->toDateTimeString(),
                    ).'))',
                ),
                'stopped_at' => null,
            ]);
            $what = $stopped ? AttemptEventKind::Stopped : AttemptEventKind::WentOn;
            AttemptEvent::query()->insert(array_map(
                fn (int $id) => ['attempt_id' => $id, 'user_id' => $by->id, 'what' => $what, 'created_at' => now()],
                $ids,
            ));

            return $ids;
        });
        foreach (Attempt::query()->whereKey($ids)->with('assignment')->get() as $attempt) {
            $this->push->bench($attempt->id, $stopped ? 'stopped' : 'went on', ['left_s' => JobClock::left($attempt)]);
        }
        $this->push->wall($course->id, $stopped ? 'stopped' : 'went on', []);

        return count($ids);
    }

    /** Says something to one at the bench, or from there to the instructor. */
    public function say(
        Attempt $attempt,
        User $by,
        string $text,
        AttemptEventKind $as = AttemptEventKind::Said,
    ): AttemptEvent {
        $event = AttemptEvent::note($attempt, $by, $as, $text);
        $this->push->bench($attempt->id, 'said', ['event' => $event->shown($attempt->user_id)]);
        $this->push->wall(
            $attempt->assignment->course_id,
            'said',
            ['attempt' => $attempt->id, 'event' => $event->shown(null)],
        );

        return $event;
    }

    public function hand(Attempt $attempt, User $by, bool $up): void
    {
        if (($attempt->hand_at !== null) === $up) {
            return;
        }
        AttemptEvent::note($attempt, $by, $up ? AttemptEventKind::HandUp : AttemptEventKind::HandDown);
        $attempt->forceFill(['hand_at' => $up ? now() : null])->save();
        $this->push->wall($attempt->assignment->course_id, 'hand', ['attempt' => $attempt->id, 'up' => $up]);
        $this->push->bench($attempt->id, 'hand', ['up' => $up]);
    }

    /** Closes the call of somebody as it stands. */
    public function end(Attempt $attempt, User $by): void
    {
        if ($this->workbench->close($attempt)) {
            rescue(fn () => AttemptEvent::note($attempt, $by, AttemptEventKind::Ended), report: false);
        }
        $this->push->bench($attempt->id, 'ended');
        $this->push->wall($attempt->assignment->course_id, 'ended', ['attempt' => $attempt->id]);
    }

    /** That the page of the bench was left for another; a fact, and no more. */
    public function leftPage(Attempt $attempt, int $seconds): void
    {
        AttemptEvent::note($attempt, $attempt->user, AttemptEventKind::LeftPage, seconds: $seconds);
        $this->push->wall($attempt->assignment->course_id, 'left page', ['attempt' => $attempt->id]);
    }

    /**
     * That the connection was lost: the clock stood meanwhile, as far as nothing came from there for so long, and five
     * minutes in all.
     *
     * @return int seconds that were given back
     */
    public function lostConnection(Attempt $attempt, int $seconds): int
    {
        return DB::transaction(function () use ($attempt, $seconds): int {
            $attempt = Attempt::query()->with('assignment')->lockForUpdate()->findOrFail($attempt->id);
            $silent = (int) max(0, now()->getTimestamp() - ($attempt->updated_at ?? now())->getTimestamp());
            $given = max(0, min($seconds, $silent, self::LOST_S - $attempt->lost_s));
            $attempt->forceFill(
                ['lost_s' => $attempt->lost_s + $given, 'stopped_s' => $attempt->stopped_s + $given],
            )->save();
            AttemptEvent::note($attempt, null, AttemptEventKind::LostConnection, "$given s given back", $seconds);

            return $given;
        });
    }
}
