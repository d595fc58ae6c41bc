<?php

namespace App\Live;

use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use App\Models\AttemptEventKind;
use App\Models\Course;
use App\Models\Entry;
use App\Work\OnSheet;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * A class at work, as its instructor sees it from three metres: who is on what, what he did last, how many suspects
 * that
 * left him, and who needs somebody.
 *
 * @phpstan-type Row array{attempt: int, user: int, name: string, job: string, exam: bool, entries: int,
 *     last: string|null, last_s: int, unsafe: string|null, hand_s: int|null, stopped: bool, left_page: int,
 *     curve: list<int>, done: bool, at_bench: bool, suspects: bool}
 */
class Wall
{
    /** Closed calls stay on the wall for so long. */
    private const CLOSED_MINUTES = 20;

    /** @return list<Row> those who work, and those who have just closed, by name */
    public static function rows(Course $course): array
    {
        $attempts = Attempt::query()
            ->select(
                [
                    'attempts.id',
                    'attempts.assignment_id',
                    'attempts.user_id',
                    'attempts.entries_count',
                    'attempts.hand_at',
                    'attempts.stopped_at',
                    'attempts.curve',
                    'attempts.handed_back_at',
                    'attempts.updated_at',
                    'attempts.begun_at',
                ],
            )
            ->join('assignments', 'assignments.id', '=', 'attempts.assignment_id')
            ->where('assignments.course_id', $course->id)
            ->whereIn('assignments.kind', AssignmentKind::given())
            ->whereIn('attempts.user_id', $course->trainees()->select('users.id'))
            ->where(fn ($q) => $q
                ->whereNull('attempts.handed_back_at')
                ->orWhere('attempts.handed_back_at', '>', now()->subMinutes(self::CLOSED_MINUTES)))
            ->with(['assignment', 'user:id,name'])
            ->get();
        $ids = $attempts->modelKeys();
        $last = self::last($ids);
        $unsafe = self::unsafe($ids);
        $away = AttemptEvent::query()
            ->whereIn('attempt_id', $ids)->where('what', AttemptEventKind::LeftPage)
            ->groupBy('attempt_id')->selectRaw('attempt_id, COUNT(*) AS times')->pluck('times', 'attempt_id');

        return $attempts
            ->sortBy(fn (Attempt $a) => mb_strtolower($a->user->name))
            ->map(fn (Attempt $a) => [
                'attempt' => $a->id, 'user' => $a->user_id, 'name' => $a->user->name, 'job' => $a->assignment->title,
                'exam' => ! $a->assignment->kind->hasHints(),
                'at_bench' => $a->assignment->work->isAtBench(),
                'suspects' => $a->assignment->work->kind()->hasSuspects(),
                'entries' => $a->entries_count,
                'last' => $last[$a->id]->sentence ?? self::onSheet($a),
                'last_s' => self::since($last[$a->id]->created_at ?? $a->begun_at ?? $a->updated_at),
                'unsafe' => $unsafe[$a->id] ?? null,
                'hand_s' => $a->hand_at === null ? null : self::since($a->hand_at),
                'stopped' => $a->stopped_at !== null,
                'left_page' => (int) ($away[$a->id] ?? 0),
                'curve' => $a->curve['left'] ?? [],
                'done' => $a->handed_back_at !== null,
            ])
            ->values()->all();
    }

    /** How far somebody is who is at no bench. */
    private static function onSheet(Attempt $attempt): ?string
    {
        $kind = $attempt->assignment->work->kind();

        return $kind instanceof OnSheet ? $kind->soFar($attempt) : null;
    }

    /**
     * @param array<int, int> $ids
     * @return Collection<int, Entry> the last entry of each, by attempt
     */
    private static function last(array $ids): Collection
    {
        return Entry::query()
            ->whereIn(
                'id',
                Entry::query()->whereIn('attempt_id', $ids)->groupBy('attempt_id')->select(DB::raw('MAX(id)')),
            )
            ->get(['id', 'attempt_id', 'sentence', 'created_at'])
            ->keyBy('attempt_id');
    }

    /**
     * @param array<int, int> $ids
     * @return array<int, string> the last danger of each that ran one, by attempt
     */
    private static function unsafe(array $ids): array
    {
        return Entry::query()
            ->whereIn('attempt_id', $ids)
            ->whereRaw("JSON_LENGTH(outcome, '$.dangers') > 0")
            ->orderBy('id')
            ->get(['id', 'attempt_id', 'outcome'])
            ->mapWithKeys(fn (Entry $e) => [$e->attempt_id => (string) self::worst($e)])
            ->all();
    }

    private static function worst(Entry $entry): ?string
    {
        $dangers = (array) ($entry->outcome['dangers'] ?? []);

        return $dangers === [] ? null : (string) reset($dangers);
    }

    private static function since(?\DateTimeInterface $moment): int
    {
        return $moment === null ? 0 : max(0, now()->getTimestamp() - $moment->getTimestamp());
    }
}
