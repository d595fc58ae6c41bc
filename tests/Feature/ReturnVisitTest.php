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

/** A return visit: what somebody else did before is on record, and a logger is left for the night. */
class ReturnVisitTest extends TestCase
{
    use RefreshDatabase, School;

    private const FAULT = 'inducer-relay:tired';

    private float $at = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function begun(AssignmentKind $kind = AssignmentKind::Practice, ?Asked $asked = null): Attempt
    {
        $job = app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('package-direct-spark'), $this->course,
            [$this->trainee->id, $this->classmate->id], 'Again', self::FAULT, 'cold', $kind, 'It stops at night.', 7,
            asked: $asked ?? new Asked(AssignmentWork::Return),
        );
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->where('user_id', $this->trainee->id)->sole();
    }

    /** @param array<string, mixed> $with */
    private function do(Attempt $attempt, string $act, array $with = []): TestResponse
    {
        return $this->actingAs($this->trainee)->act($attempt, $act, ++$this->at, $with);
    }

    public function test_it_is_given_from_the_form_with_a_record_of_the_last_visit_and_without_the_fault(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('package-direct-spark')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'Again', 'fault' => self::FAULT, 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'It stops at night.', 'work' => 'return',
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Return, $job->work);
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();
        $attempt = $job->attempts()->sole();
        $page = $this->get("/attempts/$attempt->id")->assertOk()->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Bench')->has('returning.last', 2)->where('returning.last.1', 'When he left, it ran.')
                ->where('job.is_traced', true)->has('faults.20'),
        );
        $this->assertStringNotContainsString('"fault":"'.self::FAULT, (string) $page->getContent());
    }

    public function test_a_logger_left_for_the_night_shows_its_chart_the_next_morning_and_is_marked(): void
    {
        $attempt = $this->begun();
        $this->do($attempt, 'door', ['to' => 'open'])->assertOk();
        $this->do($attempt, 'logger', ['on' => ['valve.MV', 'valve.MVC'], 'mode' => 'vac'])
            ->assertOk()->assertJsonPath('scene.logged', [['valve.MV', 'valve.MVC']])->assertJsonPath('entry.refused', null);
        $this->do($attempt, 'door', ['to' => 'shut'])->assertOk();
        $evening = $this->at + 1;
        $night = $this->do($attempt, 'come_back')->assertOk()->assertJsonPath('entry.refused', null);
        $this->assertEqualsWithDelta($evening + 14 * 3600, $night->json('now_s'), 0.01);
        $chart = $night->json('passed.perceived')['logger vac valve.MV valve.MVC'];
        $this->assertContains('26', array_column($chart, 'value'));
        $this->assertSame('0', end($chart)['value']);
        $this->at = $night->json('now_s');
        // the same once more is the same entry, and no second night
        $again = $this->actingAs($this->trainee)->postJson("/attempts/$attempt->id/acts", [
            'id' => $attempt->entries()->reorder('id', 'desc')->first()->client_id, 'at_s' => $evening, 'act' => 'come_back',
        ])->assertOk();
        $this->assertEquals($this->at, $again->json('now_s'));
        $this->do($attempt, 'name', ['fault' => self::FAULT])->assertOk();
        $this->do($attempt, 'hand_back')->assertOk();
        $mark = $attempt->refresh()->mark;
        $lines = array_column($mark['lines'], null, 'id');
        $this->assertArrayHasKey('trace', $lines);
        $this->assertSame(1, $lines['night']['share'], json_encode($lines['night']));
        $this->assertSame([], app(MarkAttempts::class)->drift($attempt));
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->where('job.work', 'return')->where('job.is_traced', true)
            ->where('past.perceived', fn ($of): bool => isset(collect($of)['logger vac valve.MV valve.MVC'])));
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
    }

    public function test_where_nothing_shows_by_day_the_hint_says_where_a_logger_would_tell(): void
    {
        $attempt = $this->begun();
        $this->do($attempt, 'door', ['to' => 'open'])->assertOk();
        $this->do($attempt, 'hint', ['grade' => 'reading'])->assertOk();
        $text = (string) json_encode($attempt->entries()->reorder('id', 'desc')->first()->outcome);
        $this->assertMatchesRegularExpression('/would tell/', $text);
    }

    public function test_a_logger_and_a_night_belong_to_a_return_visit_alone(): void
    {
        $attempt = $this->begun(asked: new Asked(AssignmentWork::Trace));
        foreach (['come_back' => [], 'logger' => ['on' => [], 'mode' => 'vac']] as $act => $with) {
            $this->do($attempt, $act, $with)->assertUnprocessable();
        }
        $this->assertSame(0, $attempt->entries()->count());
        $this->get("/attempts/$attempt->id")->assertInertia(fn (AssertableInertia $page) => $page->where('returning', null));
    }
}
