<?php

namespace App\Support;

use App\Bench\AssignJob;
use App\Bench\Attempts;
use App\Bench\MarkAttempts;
use App\Bench\Workbench;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use App\Models\AttemptEventKind;
use App\Models\Course;
use App\Models\MarkOverride;
use App\Models\Role;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use OddSpark\Acts\ActError;
use OddSpark\Appliance\Model;

/**
 * The made-up school in full: two classes, 24 trainees, and eight weeks of work, so that every page has something to
 * look
 * at. People work as people do: some read where it tells, some look and guess, some change parts; all get better.
 *
 * The work is real: done at the bench and marked; of each job a few ways of working are computed, and the others in the
 * class who worked that way have the same entries, at another time.
 */
class DemoSchool
{
    use WaysOfWorking;

    private const WEEKS = 8;

    private const EVENING = ['Aspen', 'Corin', 'Dagny', 'Eskil'];

    private const DAY = [
        'Fenna',
        'Gorran',
        'Halla',
        'Ivo',
        'Jorun',
        'Keir',
        'Lumi',
        'Maelys',
        'Nils',
        'Orla',
        'Perran',
        'Runa',
    ];

    /** Where the calls come from. */
    private const PLACES = [
        'Net loft',
        'Sail maker',
        'Tide mill office',
        'Boat shed',
        'Print shop',
        'Ferry canteen',
        'Glass works',
        'Grain store',
        'Lamp room',
        'Chandlery',
        'Weigh house',
        'Rope walk',
        'Dye works',
        'Signal house',
        'Map room',
        'Fish market',
    ];

    private const MODELS = [
        ['furnace-80', 'furnace-standing-pilot', 'furnace-80', 'package-direct-spark'],
        ['oil-furnace', 'boiler-hydronic', 'zones-hydronic', 'mid-position-230'],
    ];

    public function __construct(
        private readonly AssignJob $giving,
        private readonly Attempts $attempts,
        private readonly Workbench $workbench,
        private readonly MarkAttempts $judging,
    ) {}

    /**
     * @param callable(float, string): void $tell
     * @param int $weeks of work, the earliest first
     */
    public function grow(callable $tell, int $weeks = self::WEEKS): void
    {
        $ines = User::query()->where('email', 'ines@demo.example')->first();
        $oona = User::query()->where('email', 'oona@demo.example')->first();
        $evening = $ines === null ? null : Course::query()->where('instructor_id', $ines->id)->first();
        if ($oona === null || $evening === null) {
            return; // the school has done away with the demo
        }
        $day = $this->day($oona);
        $this->people($evening, self::EVENING);
        $this->people($day, self::DAY);
        $evening->freeBenches()->syncWithoutDetaching(
            Appliance::query()->whereIn('name', ['furnace-80', 'furnace-standing-pilot'])->pluck('id'),
        );
        foreach (range(0, 2 * $weeks - 1) as $i) {
            [$week, $which] = [intdiv($i, 2), $i % 2];
            $tell($i / (2 * $weeks), 'Week '.($week + 1)." of the demo's classes");
            $this->week($which === 0 ? $ines : $oona, $which === 0 ? $evening : $day, $which, $week);
        }
    }

    private function day(User $oona): Course
    {
        $course = Course::query()->firstOrCreate(
            ['instructor_id' => $oona->id, 'name' => 'Boilers and oil, day release'],
        );
        DemoData::grew('courses', $course->id);

        return $course;
    }

    /** @param list<string> $names */
    private function people(Course $course, array $names): void
    {
        foreach ($names as $name) {
            $user = User::query()->firstOrCreate(
                ['email' => mb_strtolower($name).'@demo.example'],
                ['name' => $name, 'role' => Role::Trainee, 'password' => DemoSeeder::PASSWORD],
            );
            DemoData::grew('users', $user->id);
            $course->trainees()->syncWithoutDetaching([$user->id]);
        }
    }

    private function week(User $instructor, Course $course, int $which, int $week): void
    {
        $title = self::PLACES[2 * $week + $which].': week '.($week + 1);
        if (Assignment::query()->where(['course_id' => $course->id, 'title' => $title])->exists()) {
            return; // made before the worker was killed
        }
        $models = self::MODELS[$which];
        $appliance = Appliance::query()->where('name', $models[$week % count($models)])->firstOrFail();
        $model = $appliance->model();
        $visit = $model->visits()[0];
        $this->giving->prepare($appliance, $visit);
        $opens = CarbonImmutable::now()->startOfWeek()->subWeeks(self::WEEKS - $week)->setTime(17, 0);
        DB::transaction(function () use (
            $instructor,
            $course,
            $appliance,
            $model,
            $visit,
            $title,
            $week,
            $which,
            $opens,
        ): void {
            $job = $this->giving->give(
                $instructor, $appliance, $course, $course->trainees()->pluck('users.id')->all(), $title,
                $this->fault($model, 31 * $week + $which), $visit,
                $week % 4 === 3 ? AssignmentKind::Exam : AssignmentKind::Practice, null, 700 + 2 * $week + $which,
            );
            DemoData::grew('assignments', $job->id);
            $this->work($job, $model, $week, $opens);
            // closed when all have done it, since nobody works at a job that is closed
            $job->forceFill([
                'created_at' => $opens, 'opens_at' => $opens, 'closes_at' => $opens->addDays(6), 'minutes' => 60,
            ])->save();
        });
    }

    /** Each works as he can by then; of each way the first does it, the others have done as he did. */
    private function work(Assignment $job, Model $model, int $week, CarbonImmutable $opens): void
    {
        $done = [];
        foreach ($job->trainees()->get() as $i => $user) {
            $way = min(2, intdiv(($user->id * 5) % 7 + $week, 3)); // 0: changes parts, 1: guesses, 2: traces
            $begun = $opens->addDays($i % 5)->addMinutes(7 * $i);
            if (($user->id + $week) % 9 === 0) {
                continue; // was not there
            }
            $attempt = isset($done[$way])
                ? $this->likewise($done[$way], $user)
                : $done[$way] = $this->attempt($job, $user, $this->acts($job, $model, $way));
            $this->dated($attempt, $begun);
            if ($job->kind === AssignmentKind::Exam && $i % 4 === 1) {
                AttemptEvent::note($attempt, $user, AttemptEventKind::LeftPage, seconds: 6 + $i);
            }
            if ($week % 3 === 2 && $i === 3) {
                $this->setByHand($attempt, $job);
            }
        }
    }

    /** @param list<array<string, mixed>> $acts */
    private function attempt(Assignment $job, User $user, array $acts): Attempt
    {
        $attempt = $this->attempts->start($job, $user);
        $step = $job->kind->horizon() * 1000; // time is played in steps no longer than what a reply looks ahead
        foreach ($acts as $i => $act) {
            $now = json_decode($attempt->fresh()->state, true);
            for ($t = ($now['tick'] - $now['zero']) + $step; $t < $act['at_s'] * 1000; $t += $step) {
                $this->workbench->play($attempt, $t);
            }
            try {
                $this->workbench->act($attempt, ['id' => "demo-$i"] + $act);
            } catch (ActError) {
                continue; // not to be done on this appliance, so he did not
            }
        }
        $this->judging->mark($attempt->fresh());

        return $attempt->fresh();
    }

    /** The same work by another. */
    private function likewise(Attempt $done, User $user): Attempt
    {
        $copy = $done->replicate(['mark_figures']);
        $copy->forceFill(['user_id' => $user->id])->save();
        foreach (['entries', 'marks'] as $table) {
            $columns = implode(', ', array_diff(
                array_map(fn (string $c) => "`$c`", DB::getSchemaBuilder()->getColumnListing($table)),
                ['`id`', '`attempt_id`'],
            ));
            DB::insert(
                "INSERT INTO $table (attempt_id, $columns) SELECT ?, $columns FROM $table WHERE attempt_id = ? ORDER BY id",
                [$copy->id, $done->id],
            );
        }

        return $copy->fresh();
    }

    private function dated(Attempt $attempt, CarbonImmutable $begun): void
    {
        $last = $begun->addSeconds((int) (($attempt->entries()->max('tick') ?? 0) / 1000));
        Attempt::query()->whereKey($attempt->id)->toBase()->update([
            'begun_at' => $begun, 'created_at' => $begun, 'updated_at' => $last, 'handed_back_at' => $last,
        ]);
        DB::update(
            'UPDATE entries SET created_at = DATE_ADD(?, INTERVAL tick DIV 1000 SECOND) WHERE attempt_id = ?',
            [$begun, $attempt->id],
        );
    }

    private function setByHand(Attempt $attempt, Assignment $job): void
    {
        $line = $attempt->mark['lines'][0];
        MarkOverride::query()->create([
            'attempt_id' => $attempt->id, 'user_id' => $job->instructor_id, 'line' => $line['id'],
            'share' => min(
                1.0,
                $line['share'] + 0.2,
            ), 'reason' => 'Said aloud what the reading would be before it was taken.',
        ]);
        $this->judging->stand($attempt->fresh());
    }
}
