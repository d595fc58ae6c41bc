<?php

namespace Tests\Feature;

use App\Jobs\RunTask;
use App\Models\Task;
use App\Tasks\CompareWithToday;
use App\Tasks\MarkAttempt;
use App\Tasks\Work;
use App\Tasks\WorkError;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\School;
use Tests\TestCase;

/** What takes long: once for each wish, one at a time for each person, and never lost. */
class TaskTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
    }

    public function test_what_is_asked_for_often_is_one_task(): void
    {
        Queue::fake();
        for ($i = 0; $i < 4; $i++) {
            Task::want($this->trainee, 'drift', 'attempt:1', ['attempt' => 1]);
        }
        $this->assertSame(1, Task::query()->count());
        Queue::assertPushed(RunTask::class, 1);
    }

    public function test_of_each_person_one_is_with_the_workers_the_most_urgent_first(): void
    {
        Queue::fake();
        foreach (['drift', 'pairs', 'mark', 'analysis'] as $kind) {
            Task::want($this->trainee, $kind, 'x');
        }
        Task::want($this->classmate, 'drift', 'y');
        $state = fn (string $kind, string $subject) => Task::find($kind, $subject)->state->value;
        $this->assertSame(
            ['queued', 'waiting', 'waiting', 'queued'],
            [$state('drift', 'x'), $state('pairs', 'x'), $state('mark', 'x'), $state('drift', 'y')],
        );
        $this->assertSame('queued', $state('analysis', 'x'), 'it has a worker of its own');
        Task::find('drift', 'x')->update(['state' => 'running']);
        Task::find('drift', 'x')->finish(null);
        $this->assertSame(['waiting', 'queued'], [$state('pairs', 'x'), $state('mark', 'x')]);
    }

    public function test_a_failure_is_a_sentence_and_the_next_is_begun_all_the_same(): void
    {
        Queue::fake();
        Task::want($this->trainee, 'drift', 'a');
        Task::want($this->trainee, 'mark', 'b');
        $this->app->bind(
            CompareWithToday::class,
            fn () => $this->failing(new \LogicException('secret table odd_spark.users')),
        );
        $this->app->bind(MarkAttempt::class, fn () => $this->failing(new WorkError('It is too large.')));
        (new RunTask(Task::find('drift', 'a')->id))->handle();
        $this->assertSame('failed', Task::find('drift', 'a')->state->value);
        $this->assertStringNotContainsString('secret', (string) Task::find('drift', 'a')->error);
        $this->assertSame('queued', Task::find('mark', 'b')->state->value);
        (new RunTask(Task::find('mark', 'b')->id))->handle();
        $this->assertSame('It is too large.', Task::find('mark', 'b')->error);
    }

    public function test_what_a_killed_worker_left_is_taken_up_by_the_next_of_its_name(): void
    {
        Queue::fake();
        $task = Task::want($this->trainee, 'drift', 'a');
        $task->update(['state' => 'running', 'worker' => 'marks', 'tries' => 1, 'started_at' => now()]);
        Task::takeUp('analyses', true);
        $this->assertSame('running', $task->refresh()->state->value, 'it is at work with another');
        Task::takeUp('marks', true);
        $this->assertSame('queued', $task->refresh()->state->value);
        $task->update(['state' => 'running', 'worker' => 'marks', 'tries' => 5]);
        Task::takeUp('marks', true);
        $this->assertSame('failed', $task->refresh()->state->value, 'not for ever');
        $this->assertStringContainsString('too large', (string) $task->error);
        $task->update(['state' => 'running', 'worker' => 'marks', 'tries' => 1, 'started_at' => now()->subHour()]);
        Task::takeUp('marks', true);
        $this->assertStringContainsString('longer than 15 minutes', (string) $task->refresh()->error);
    }

    public function test_what_was_lost_between_queue_and_work_comes_back(): void
    {
        config(['queue.default' => 'database']);
        $task = Task::want($this->trainee, 'drift', 'a');
        DB::table('jobs')
            ->where('id', $task->job_id)
            ->update(['reserved_at' => now()->getTimestamp(), 'attempts' => 1]);
        Task::takeUp('marks', false);
        $this->assertNotNull(DB::table('jobs')->value('reserved_at'), 'it may have been taken just now');
        $this->travel(10)->seconds();
        Task::takeUp('marks', false);
        $this->assertNull(DB::table('jobs')->value('reserved_at'));
        Task::query()->update(['state' => 'waiting']);
        $this->travel(10)->seconds();
        Task::takeUp('marks', false);
        $this->assertSame('queued', $task->refresh()->state->value);
    }

    public function test_how_far_it_is_concerns_whoever_waits_for_it(): void
    {
        Queue::fake();
        $task = Task::want($this->trainee, 'drift', 'a');
        $this->actingAs($this->trainee)
            ->getJson("/tasks/$task->id")
            ->assertOk()
            ->assertJson(['state' => 'queued', 'share' => 0, 'goes' => null]);
        $this->actingAs($this->classmate)
            ->getJson("/tasks/$task->id")
            ->assertNotFound();
        $this->actingAs($this->instructor)
            ->getJson("/tasks/$task->id")
            ->assertNotFound();
    }

    public function test_a_hint_comes_later_and_the_bench_is_free_meanwhile(): void
    {
        $attempt = $this->begin($this->give());
        Queue::fake();
        $this->act($attempt, 'hint', 2, ['grade' => 'circuit'], 'h1')
            ->assertOk()
            ->assertJsonPath('entry.waits', true)
            ->assertJsonPath('entry.seen.hint', '');
        $this->act($attempt, 'look', 3, ['part' => 'thermostat'])->assertOk();
        $this->getJson("/attempts/$attempt->id/waiting?of=h1")->assertOk()->assertJsonPath('entry.waits', true);
        $this->actingAs($this->classmate)->getJson("/attempts/$attempt->id/waiting?of=h1")->assertNotFound();
        (new RunTask(Task::query()->where('kind', 'hint')->sole()->id))->handle();
        $this->actingAs($this->trainee);
        $hint = $this->getJson("/attempts/$attempt->id/waiting?of=h1")
            ->assertOk()
            ->assertJsonMissingPath('entry.waits')
            ->json('entry.seen.hint');
        $this->assertNotSame('', $hint);
        $this->getJson("/attempts/$attempt->id/waiting?of=other")->assertNotFound();

        $sooner = $this->begin($this->give());
        config(['queue.default' => 'sync']);
        $this->app->forgetInstance('queue');
        Queue::clearResolvedInstances();
        $this->act($sooner, 'hint', 2, ['grade' => 'circuit'])
            ->assertOk()
            ->assertJsonPath('entry.seen.hint', $hint, 'what was seen later is not in it');
    }

    private function failing(\Throwable $with): Work
    {
        return new class($with) implements Work {
            public function __construct(private readonly \Throwable $with) {}

            public function do(Task $task): ?array
            {
                throw $this->with;
            }
        };
    }
}
