<?php

namespace App\Records;

use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use OddSpark\Appliance\Model;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Proficiency;
use OddSpark\Marking\Shown;
use OddSpark\Trade\Competency;

/**
 * The record of a class: every mark of every job, what each person has shown of each competency, and what the class
 * finds hard. Computed from judged lines; what weighed nothing by the house rules shows nothing.
 *
 * @phpstan-type Judged array{attempt: int, user: int, job: int, total: float|null, passed: bool|null, at: string,
 *     shown: array<string, float>}
 */
class Gradebook
{
    /** Jobs that a proficiency rests on before it is taken to say anything. */
    private const ENOUGH = 3;

    /**
     * @return array{course: array{id: int, name: string}, jobs: list<array{id: int, title: string, kind: string}>,
     *     competencies: list<string>, people: list<array{id: int, name: string,
     *         marks: list<array{job: int|null, attempt: int, total: float|null, passed: bool|null}>,
     *         competencies: array<string, array{jobs: int, share: float, low: float, high: float}>,
     *         next: array{competency: string, why: string}}>, hard: list<array<string, mixed>>} as the page has it
     */
    public static function of(Course $course): array
    {
        $jobs = Assignment::query()
            ->select(Assignment::LIGHT)
            ->where('course_id', $course->id)
            ->whereIn('kind', AssignmentKind::counting())
            ->orderByRaw('COALESCE(opens_at, created_at)')
            ->orderBy('id')
            ->get();
        $people = $course->trainees()->get(['users.id', 'name']);
        $all = self::shown($jobs, $people->modelKeys());
        $byPerson = collect($all)->groupBy('user');
        // a job whose fault was drawn is one column, whichever it was
        $columns = $jobs->unique(fn (Assignment $job) => $job->pool ?? $job->id)->values();
        $column = $jobs->mapWithKeys(fn (Assignment $job) => [
            $job->id => $job->pool === null ? $job->id : $columns->firstOrFail('pool', $job->pool)->id,
        ]);
        $can = self::canShow($jobs);

        return [
            'course' => ['id' => $course->id, 'name' => $course->name],
            'jobs' => $columns->map(fn (Assignment $job) => [
                'id' => $job->id, 'title' => $job->title, 'kind' => $job->kind->value,
            ])->values()->all(),
            'competencies' => array_column(Competency::cases(), 'value'),
            'people' => $people->map(function (User $person) use ($byPerson, $can, $column): array {
                /** @var Collection<int, Judged> $own */
                $own = $byPerson->get($person->id, collect());
                $shown = self::proficiencies($own->all());

                return [
                    'id' => $person->id,
                    'name' => $person->name,
                    'marks' => $own->map(fn (array $a) => [
                        'job' => $column[$a['job']], 'attempt' => $a['attempt'], 'total' => $a['total'], 'passed' => $a['passed'],
                    ])->values()->all(),
                    'competencies' => $shown,
                    'next' => self::next($shown, $can),
                ];
            })->values()->all(),
            'hard' => self::hard($all),
        ];
    }

    /**
     * One person's own record, over all classes or in one.
     *
     * @return array{competencies: array<string, array{jobs: int, share: float, low: float, high: float}>,
     *     next: array{competency: string, why: string},
     *     done: list<array{attempt: int, title: string, at: string, total: float|null, passed: bool|null}>}
     */
    public static function ofPerson(User $person, ?Course $course = null): array
    {
        $jobs = Assignment::query()
            ->select(Assignment::LIGHT)
            ->whereIn('kind', AssignmentKind::counting())
            ->when($course !== null, fn ($q) => $q->where('course_id', $course?->id))
            ->whereHas('attempts', fn ($q) => $q->where('user_id', $person->id)->whereNotNull('handed_back_at'))
            ->get();
        $all = self::shown($jobs, [$person->id]);
        $titles = $jobs->pluck('title', 'id');

        return [
            'competencies' => self::proficiencies($all),
            'next' => self::next(self::proficiencies($all), self::canShow($jobs)),
            'done' => array_map(fn (array $a) => [
                'attempt' => $a['attempt'], 'title' => $titles[$a['job']], 'at' => $a['at'], 'total' => $a['total'],
                'passed' => $a['passed'],
            ], $all),
        ];
    }

    /**
     * What was shown in each attempt that is marked, the oldest first.
     *
     * @param Collection<int, Assignment> $jobs
     * @param list<int> $people ids
     * @return list<Judged>
     */
    private static function shown(Collection $jobs, array $people): array
    {
        $families = self::families($jobs);
        $rows = DB::table('attempts')
            ->whereIn('assignment_id', $jobs->pluck('id'))
            ->whereIn('user_id', $people)
            ->whereNotNull('mark')
            ->orderBy('handed_back_at')
            ->get(['id', 'user_id', 'assignment_id', 'handed_back_at', 'mark_figures']);

        return $rows->map(function (object $row) use ($families): array {
            $mark = json_decode((string) $row->mark_figures, true);
            $judged = [];
            foreach ($mark['lines'] ?? [] as $i => $id) {
                if (($mark['weights'][$i] ?? 0) > 0) {
                    $judged[$id] = (float) ($mark['shares'][$i] ?? 0);
                }
            }

            return [
                'attempt' => $row->id, 'user' => $row->user_id, 'job' => $row->assignment_id,
                'total' => isset($mark['total']) ? (float) $mark['total'] : null,
                'passed' => isset($mark['passed']) ? (bool) $mark['passed'] : null,
                'at' => (string) $row->handed_back_at,
                'shown' => Shown::by($judged, $families[$row->assignment_id] ?? ''),
            ];
        })->all();
    }

    /**
     * The family of each job's fault; of a model it is worked out once.
     *
     * @param Collection<int, Assignment> $jobs
     * @return array<int, string> by job
     */
    private static function families(Collection $jobs): array
    {
        $families = [];
        foreach ($jobs as $job) {
            $families[$job->id] = self::familiesOf($job)[$job->fault] ?? '';
        }

        return $families;
    }

    /** @return array<string, string> the family of every fault of a job's model, by fault */
    private static function familiesOf(Assignment $job): array
    {
        return Cache::rememberForever('families:'.Assignment::ENGINE.":$job->hash", function () use ($job): array {
            $document = Assignment::query()->whereKey($job->id)->value('document');
            $model = new Model(json_decode((string) $document, true, 64, JSON_THROW_ON_ERROR));

            return array_map(fn ($fault) => $fault->family, FaultSet::of($model)->faults);
        });
    }

    /**
     * What faults of the models of some jobs can show, beside what every job shows.
     *
     * @param Collection<int, Assignment> $jobs
     * @return list<string>
     */
    private static function canShow(Collection $jobs): array
    {
        $can = array_map(fn (Competency $c) => $c->value, Shown::byEveryJob());
        foreach ($jobs->unique('hash') as $job) {
            foreach (array_unique(self::familiesOf($job)) as $family) {
                $can[] = Shown::byFinding($family)?->value;
            }
        }

        return array_values(array_unique(array_filter($can)));
    }

    /**
     * @param array<int, Judged> $attempts
     * @return array<string, array{jobs: int, share: float, low: float, high: float}> of those that were shown at all
     */
    private static function proficiencies(array $attempts): array
    {
        $by = [];
        foreach ($attempts as $attempt) {
            foreach ($attempt['shown'] as $competency => $share) {
                $by[$competency][] = $share;
            }
        }

        return array_map(fn (array $all) => Proficiency::of($all)->toArray(), $by);
    }

    /**
     * What to practise next, and why: what was shown least surely; first what was never shown.
     *
     * @param array<string, array{jobs: int, share: float, low: float, high: float}> $proficiencies
     * @param list<string> $can what can be shown at all
     * @return array{competency: string, why: string}
     */
    private static function next(array $proficiencies, array $can): array
    {
        foreach (Competency::cases() as $competency) {
            if (in_array($competency->value, $can, true) && ! isset($proficiencies[$competency->value])) {
                return ['competency' => $competency->value, 'why' => 'No job has shown it yet.'];
            }
        }
        uasort($proficiencies, fn (array $a, array $b) => $a['low'] <=> $b['low']);
        $least = (string) array_key_first($proficiencies);
        $of = $proficiencies[$least];

        return [
            'competency' => $least,
            'why' => $of['jobs'] < self::ENOUGH
                ? "Only {$of['jobs']} ".($of['jobs'] === 1 ? 'job has' : 'jobs have').' shown it.'
                : sprintf('%d %% over %d jobs, the least of all.', round(100 * $of['share']), $of['jobs']),
        ];
    }

    /**
     * What the class finds hard, the hardest first.
     *
     * @param list<Judged> $attempts
     * @return list<array{competency: string, jobs: int, share: float, low: float, high: float}>
     */
    private static function hard(array $attempts): array
    {
        $hard = [];
        foreach (self::proficiencies($attempts) as $competency => $of) {
            $hard[] = ['competency' => $competency] + $of;
        }
        usort($hard, fn (array $a, array $b) => $a['share'] <=> $b['share']);

        return $hard;
    }
}
