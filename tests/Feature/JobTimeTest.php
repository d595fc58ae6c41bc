<?php

namespace Tests\Feature;

use App\Bench\JobClock;
use App\Bench\Workbench;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\AuditEntry;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** When a job is open, when its time is over, and who gets more. */
class JobTimeTest extends TestCase
{
    use RefreshDatabase, School;

    private Assignment $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->job = $this->give(kind: AssignmentKind::Exam);
    }

    private function start(): void
    {
        $this->actingAs($this->trainee)->post("/jobs/{$this->job->id}/attempt");
    }

    private function attempt(): ?Attempt
    {
        return $this->job->attempts()->where('user_id', $this->trainee->id)->first();
    }

    public function test_it_is_begun_between_its_opening_and_its_closing_and_says_why_not(): void
    {
        $this->job->update(['opens_at' => now()->addHour(), 'closes_at' => now()->addHours(2)]);
        $this->start();
        $this->assertNull($this->attempt());
        $this->assertStringContainsString('not open yet', session('flash'));
        $this->get('/')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('jobs.0.opens_at', $this->job->opens_at->toIso8601String())
                ->where('jobs.0.can_begin', false),
        );
        $this->actingAs($this->instructor)->post(
            "/jobs/{$this->job->id}/attempt",
        )->assertRedirectContains('/attempts/');
        $this->travel(3)->hours();
        $this->start();
        $this->assertNull($this->attempt());
        $this->assertStringContainsString('is closed', session('flash'));
        $this->travelBack();
        $this->travel(90)->minutes();
        $this->start();
        $this->assertNotNull($this->attempt());
    }

    public function test_when_the_minutes_are_over_the_call_is_closed_as_it_stands_and_marked(): void
    {
        $this->job->update(['minutes' => 30]);
        $this->start();
        $attempt = $this->attempt();
        $this->act($attempt, 'look', 0, ['part' => 'breaker'])->assertOk();
        $this->get("/attempts/$attempt->id")->assertInertia(
            fn (AssertableInertia $page) => $page->where('left_s', fn (int $left) => abs($left - 1800) < 60),
        );
        $this->travel(31)->minutes();
        $reply = $this->act($attempt, 'look', 0, ['part' => 'cock'])->assertOk()->json();
        $this->assertTrue($reply['handed_back']);
        $this->assertStringStartsWith('Time is up', $reply['entry']['text']);
        $this->assertSame(2, $attempt->entries()->count(), 'what came too late was not done');
        $this->assertNotNull($attempt->refresh()->mark);
        $this->act($attempt, 'look', 0, ['part' => 'cock'])->assertConflict();
        $this->get("/attempts/$attempt->id")->assertRedirect("/attempts/$attempt->id/debrief");
    }

    public function test_whoever_has_left_is_closed_all_the_same(): void
    {
        $this->job->update(['closes_at' => now()->addMinutes(10)]);
        $this->start();
        $this->assertSame([], JobClock::overdue());
        $this->travel(11)->minutes();
        $this->assertSame([$this->attempt()->id], JobClock::overdue());
        $this->assertTrue(app(Workbench::class)->closeIfOver($this->attempt()));
        $this->assertFalse(app(Workbench::class)->closeIfOver($this->attempt()), 'once');
        $this->assertSame([], JobClock::overdue());
        $this->assertFalse($this->attempt()->isOpen());
    }

    public function test_one_person_gets_more_minutes_and_the_others_do_not(): void
    {
        $this->job->update(['closes_at' => now()->addMinutes(10), 'minutes' => 5]);
        $this->job->trainees()->attach($this->classmate->id);
        $this->start();
        $this->actingAs($this->classmate)->post("/jobs/{$this->job->id}/attempt");
        $this->actingAs($this->instructor)
            ->post("/jobs/{$this->job->id}/trainees/{$this->trainee->id}/extra", ['minutes' => 20])
            ->assertRedirect();
        $this->travel(12)->minutes();
        $this->assertNull(JobClock::refusal($this->job->refresh(), $this->trainee), 'he could still begin');
        $this->assertNotNull(JobClock::refusal($this->job, $this->classmate));
        $this->assertFalse(JobClock::isOver($this->attempt()));
        $this->assertTrue(JobClock::isOver($this->job->attempts()->where('user_id', $this->classmate->id)->sole()));
        $stranger = User::factory()->create();
        $this->postJson("/jobs/{$this->job->id}/trainees/$stranger->id/extra", ['minutes' => 5])->assertNotFound();
        $this->postJson(
            "/jobs/{$this->job->id}/trainees/{$this->trainee->id}/extra",
            ['minutes' => -5],
        )->assertUnprocessable();
    }

    public function test_it_is_given_once_more_and_what_was_done_is_kept_aside(): void
    {
        $this->start();
        $attempt = $this->attempt();
        $this->act($attempt, 'look', 0, ['part' => 'breaker'])->assertOk();
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $total = $attempt->refresh()->mark['total'];
        $seed = $attempt->seed;
        $this->actingAs($this->instructor)
            ->post("/jobs/{$this->job->id}/trainees/{$this->trainee->id}/again")
            ->assertRedirect("/jobs/{$this->job->id}");
        $attempt->refresh();
        $this->assertTrue($attempt->isOpen());
        $this->assertNull($attempt->mark);
        $this->assertSame(0, $attempt->entries()->count());
        $this->assertNotSame($seed, $attempt->seed, 'readings scatter otherwise');
        $aside = $attempt->set_aside[0];
        $this->assertCount(2, $aside['entries']);
        $this->assertSame($total, $aside['marks'][0]['result']['total']);
        $this->actingAs($this->trainee);
        $this->act($attempt, 'look', 0, ['part' => 'breaker'])->assertOk();
        $this->assertSame('give job again', AuditEntry::query()->latest('id')->value('act'));
    }

    public function test_the_time_is_changed_by_whose_job_it_is_and_not_to_nonsense(): void
    {
        $to = "/jobs/{$this->job->id}";
        $window = ['opens_at' => '2026-12-03T13:00:00Z', 'closes_at' => '2026-12-03T15:00:00Z', 'minutes' => 45];
        $other = User::factory()->instructor()->create();
        foreach ([$other, $this->trainee] as $person) {
            $this->actingAs($person)->postJson("$to/window", $window)->assertNotFound();
            $this->postJson("$to/trainees/{$this->trainee->id}/extra", ['minutes' => 5])->assertNotFound();
            $this->postJson("$to/trainees/{$this->trainee->id}/again")->assertNotFound();
        }
        $this->actingAs($this->instructor)->post("$to/window", $window)->assertRedirect($to);
        $this->assertSame(45, $this->job->refresh()->minutes);
        $this->assertSame('2026-12-03T15:00:00+00:00', $this->job->closes_at->toIso8601String());
        $this->postJson("$to/window", ['closes_at' => '2026-12-03T12:00:00Z'] + $window)->assertUnprocessable();
        $this->postJson("$to/window", ['opens_at' => 'soon'] + $window)->assertUnprocessable();
        $this->postJson("$to/window", ['minutes' => 0] + $window)->assertUnprocessable();
        $this->post("$to/window", [])->assertRedirect($to);
        $this->assertNull($this->job->refresh()->closes_at);
        $this->postJson("$to/trainees/{$this->trainee->id}/again")->assertNotFound(); // nothing begun yet
    }
}
