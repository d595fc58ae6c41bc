<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OddSpark\Faults\Draw;

/** Jobs that were given once, given again as they are frozen: to another class, drawn and seeded anew. */
class CopyJobs
{
    /**
     * @param int|null $shift what the times move by, s; null: open at any time
     * @param int|null $after the job that must be passed before, there
     * @return non-empty-list<Assignment> the job, or all of its pool
     */
    public function job(Assignment $assignment, User $by, Course $to, ?int $shift = null, ?int $after = null): array
    {
        return DB::transaction(function () use ($assignment, $by, $to, $shift, $after): array {
            $all = Assignment::query()->pooledWith($assignment)->get();
            $pool = $assignment->pool === null ? null : (string) Str::uuid();
            $seed = random_int(1, 0x7FFFFF);
            $drawn = Draw::each(
                $all->map(fn (Assignment $a) => (string) $a->id)->all(),
                $to->trainees()->pluck('users.id')->all(),
                $seed,
            );
            $moved = fn (?Carbon $moment) => $shift === null ? null : $moment?->copy()->addSeconds($shift);
            $made = [];
            foreach ($all as $i => $one) {
                $copy = $one->replicate();
                $copy->forceFill([
                    'course_id' => $to->id, 'instructor_id' => $by->id, 'seed' => $seed + $i, 'pool' => $pool,
                    'after_id' => $after, 'after_mark' => $after === null ? null : $one->after_mark,
                    'opens_at' => $moved($one->opens_at), 'closes_at' => $moved($one->closes_at),
                ])->save();
                $copy->trainees()->sync(
                    $one->kind === AssignmentKind::Demonstration ? [] : array_keys($drawn, (string) $one->id, true),
                );
                $made[] = $copy;
            }

            return $made;
        });
    }

    /** All jobs of a class in their order, moved so that the first opens on a day; returns how many. */
    public function plan(Course $from, User $by, Course $to, Carbon $startsOn): int
    {
        return DB::transaction(function () use ($from, $by, $to, $startsOn): int {
            $jobs = Assignment::query()
                ->select(Assignment::LIGHT)->where('course_id', $from->id)->whereIn('kind', AssignmentKind::given())
                ->orderBy('id')->get()->unique(fn (Assignment $a) => $a->pool ?? $a->id);
            $first = $jobs->pluck('opens_at')->filter()->min();
            // whole days, so that a job that opens at eight opens at eight
            $shift = $first === null
                ? null
                : (int) $first->copy()->startOfDay()->diffInSeconds($startsOn->copy()->startOfDay());
            $made = [];
            foreach ($jobs as $job) {
                $after = $job->after_id === null ? null : $made[$job->after_id] ?? null;
                $copies = $this->job($job, $by, $to, $shift, $after);
                $made[$job->id] = $copies[0]->id;
            }

            return $jobs->count();
        });
    }
}
