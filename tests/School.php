<?php

namespace Tests;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\RuleSet;
use App\Models\Task;
use App\Models\User;
use App\Tasks\AnalyseAppliance;
use App\Tasks\Work;
use Illuminate\Support\Facades\File;

/** A small school for a test: an instructor, a class with two trainees, the furnace, and jobs on it. */
trait School
{
    private const TRAINEE = 700_001;

    protected User $instructor;

    protected Course $course;

    protected User $trainee;

    protected User $classmate;

    /** What is found of a model's faults takes long, and is asked for whenever a job is given. */
    protected function withoutAnalyses(): void
    {
        $this->app->bind(AnalyseAppliance::class, fn () => new class() implements Work {
            public function do(Task $task): ?array
            {
                return null;
            }
        });
    }

    protected function openSchool(): void
    {
        RuleSet::ship();
        $this->instructor = User::factory()->instructor()->create();
        $this->course = Course::factory()->create(['instructor_id' => $this->instructor->id]);
        // an attempt's seed follows from who works on it: the same whichever tests ran before, with none of their turns
        foreach ([self::TRAINEE, self::TRAINEE + 1] as $id) {
            File::delete(File::glob(storage_path("framework/slots/$id-*")));
        }
        $this->trainee = User::factory()->create(['id' => self::TRAINEE]);
        $this->classmate = User::factory()->create(['id' => self::TRAINEE + 1]);
        $this->course->trainees()->attach([$this->trainee->id, $this->classmate->id]);
    }

    /** The furnace; drawn once for all tests, since that takes a while. */
    protected function furnace(): Appliance
    {
        static $drawn = null;
        $existing = Appliance::query()->first();
        if ($existing !== null) {
            return $existing;
        }
        if ($drawn === null) {
            $drawn = Appliance::ship('furnace-80')->only(['name', 'title', 'hash', 'document', 'board']);

            return Appliance::query()->sole();
        }

        return Appliance::query()->create($drawn);
    }

    protected function give(
        string $fault = 'limit:stuck-open',
        AssignmentKind $kind = AssignmentKind::Practice,
        string $visit = 'cold',
    ): Assignment {
        return app(AssignJob::class)->give(
            $this->instructor,
            $this->furnace(),
            $this->course,
            [$this->trainee->id],
            'A job',
            $fault,
            $visit,
            $kind,
            'No heat.',
            11,
        );
    }

    protected function begin(Assignment $assignment): Attempt
    {
        $this->actingAs($this->trainee)->post("/jobs/$assignment->id/attempt")->assertRedirect();

        return Attempt::query()
            ->where('user_id', $this->trainee->id)
            ->where('assignment_id', $assignment->id)
            ->firstOrFail();
    }

    /** @param array<string, mixed> $with */
    protected function act(
        Attempt $attempt,
        string $act,
        float $at,
        array $with = [],
        ?string $id = null,
    ): \Illuminate\Testing\TestResponse {
        return $this->postJson(
            "/attempts/$attempt->id/acts",
            ['id' => $id ?? uniqid(), 'act' => $act, 'at_s' => $at] + $with,
        );
    }
}
