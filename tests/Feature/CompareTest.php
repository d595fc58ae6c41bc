<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Bench\MarkAttempts;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Work\Asked;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** The failed unit beside its sound twin, between requests: two boards, one meter. */
class CompareTest extends TestCase
{
    use RefreshDatabase, School;

    private const FAULT = 'limit:stuck-open';

    private float $at = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function begun(AssignmentWork $work = AssignmentWork::Compare): Attempt
    {
        $job = app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('furnace-80'), $this->course, [$this->trainee->id], 'Two of them',
            self::FAULT, 'cold', AssignmentKind::Practice, 'The left one is cold.', 7, asked: new Asked($work),
        );
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->sole();
    }

    /** @param array<string, mixed> $with */
    private function do(Attempt $attempt, string $act, array $with = [], float $after = 1): TestResponse
    {
        return $this->actingAs($this->trainee)->act($attempt, $act, $this->at += $after, $with);
    }

    public function test_it_is_given_from_the_form_and_worked_on_both_units_and_marked_by_what_was_compared(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('furnace-80')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'Two of them', 'fault' => self::FAULT, 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'The left one is cold.', 'work' => 'compare',
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Compare, $job->work);
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();
        $attempt = $job->attempts()->sole();
        $this->do($attempt, 'door', ['to' => 'open'])->assertOk()->assertJsonCount(1, 'scene.twin.open');
        $this->do($attempt, 'hold', ['to' => 'held'])->assertOk();
        $leads = ['red' => 'limit.b', 'black' => 'board.C'];
        $this->do($attempt, 'twin', ['does' => 'leads', 'red' => 'limit.a', 'black' => null])
            ->assertOk()->assertJsonPath('scene.twin.red', 'limit.a')->assertJsonPath('scene.twin.black', null);
        $there = $this->do($attempt, 'twin', ['does' => 'leads'] + $leads)->assertOk()
            ->assertJsonPath('scene.twin.red', 'limit.b')->assertJsonPath('scene.red', null)
            ->assertJsonPath('entry.reading.mode', 'vac');
        $this->assertGreaterThan(20, $there->json('entry.reading.value'));
        $this->assertStringContainsString('On the sound twin: ', $there->json('entry.text'));
        $this->assertSame('vac', $there->json('ahead.meter.0.reading.mode'));
        $this->assertArrayHasKey('twin board.lamp', $this->do($attempt, 'twin', ['does' => 'look', 'part' => 'board'])
            ->assertOk()->json('ahead.perceived'));
        $here = $this->do($attempt, 'leads', $leads)->assertOk()->assertJsonPath('scene.twin.red', null);
        $this->assertLessThan(5, $here->json('entry.reading.value'));
        $this->do($attempt, 'twin', ['does' => 'look'])->assertOk()->assertJsonPath('entry.seen', []);
        $this->do($attempt, 'twin', ['does' => 'mend', 'part' => 'limit'])->assertUnprocessable();
        // brought up again, both stand where they stood
        $this->get("/attempts/$attempt->id")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->has('now.scene.twin.open', 1)->where('now.scene.red', 'limit.b')->where('job.work', 'compare'));
        $this->do($attempt, 'name', ['fault' => self::FAULT])->assertOk();
        $this->do($attempt, 'hand_back')->assertOk();
        $lines = array_column($attempt->refresh()->mark['lines'], null, 'id');
        $this->assertSame(1, $lines['compared']['share'], json_encode($lines['compared']));
        $this->assertArrayNotHasKey('night', $lines);
        $this->get("/attempts/$attempt->id/debrief")->assertOk();
        $this->assertSame([], app(MarkAttempts::class)->drift($attempt));
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
    }

    public function test_a_twin_stands_beside_the_unit_in_a_job_of_that_sort_alone(): void
    {
        $attempt = $this->begun(AssignmentWork::Trace);
        $this->do($attempt, 'twin', ['does' => 'look', 'part' => 'board'])->assertUnprocessable();
        $this->get("/attempts/$attempt->id")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('now.scene.twin', null));
    }

    public function test_what_the_twin_shows_does_not_depend_on_the_fault(): void
    {
        $shown = [];
        foreach (['limit:stuck-open', 'w27:open', 'valve:coil-open'] as $fault) {
            $this->at = 0;
            $attempt = $this->begun();
            $attempt->assignment->update(['fault' => $fault]);
            $this->do($attempt, 'door', ['to' => 'open'])->assertOk();
            $this->do($attempt, 'hold', ['to' => 'held'])->assertOk();
            $reply = $this->do($attempt, 'twin', ['does' => 'leads', 'red' => 'valve.MV', 'black' => 'valve.MVC'])->assertOk();
            $shown[] = $reply->json('entry.reading.value');
            $attempt->assignment->delete();
        }
        $this->assertCount(1, array_unique($shown));
    }
}
