<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Task;
use App\Work\Asked;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** An appliance commissioned at the bench: given, measured, put right or not, signed, marked. */
class CommissioningTest extends TestCase
{
    use RefreshDatabase, School;

    private Attempt $attempt;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function begun(string $fault, AssignmentKind $kind = AssignmentKind::Practice): Attempt
    {
        $job = app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('furnace-80'), $this->course,
            [$this->trainee->id, $this->classmate->id], 'Commission', $fault, 'cold', $kind, 'Prove it.', 7,
            asked: new Asked(AssignmentWork::Commission),
        );
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $this->attempt = $job->attempts()->sole();
    }

    private float $at = 0;

    /** @param array<string, mixed> $with */
    private function do(string $act, array $with = [], float $after = 1): TestResponse
    {
        $this->at += $after;

        return $this->actingAs($this->trainee)->act($this->attempt, $act, $this->at, $with);
    }

    private function play(float $to): void
    {
        while ($this->at < $to) {
            $this->at = min($to, $this->at + 10);
            $this->actingAs($this->trainee)
                ->postJson("/attempts/{$this->attempt->id}/play", ['to_s' => $this->at])->assertOk();
        }
    }

    private function measured(float $manifold, string $found): void
    {
        $this->do('door', ['to' => 'open'])->assertOk();
        $this->do('hold', ['to' => 'held'])->assertOk();
        $this->play($this->at + 200);
        $this->do('gauge', ['tap' => 'manifold'])->assertOk()->assertJsonPath('entry.refused', null);
        $this->do('fill_in', ['row' => 'manifold', 'figure' => $manifold, 'found' => $found])->assertOk();
    }

    public function test_it_is_given_from_the_form_and_its_sheet_is_at_the_bench(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('furnace-80')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'Commission', 'fault' => 'valve:set-low', 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'Prove it.', 'work' => 'commission',
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Commission, $job->work);
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();
        $attempt = $job->attempts()->sole();
        $page = $this->get("/attempts/$attempt->id")->assertOk()->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Bench')->has('commissioning.rows', 10)->has('commissioning.safeties.0')
                ->where('commissioning.rows.1.range', 'by the rating plate')->has('faults', 0)
                ->missing('commissioning.rows.0.low'),
        );
        $this->assertStringNotContainsString('set-low', (string) $page->getContent());
    }

    public function test_what_was_measured_and_written_as_it_is_counts_and_what_was_not_read_does_not(): void
    {
        $attempt = $this->begun('healthy');
        $this->measured(3.5, 'in_order');
        $this->do('fill_in', ['row' => 'gas-inlet', 'figure' => 7, 'found' => 'in_order'])->assertOk();
        $this->do('sign', ['as' => 'in_service'])->assertOk();
        $this->do('hand_back')->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertSame(['measured', 'acted', 'put_right', 'care'], array_column($mark['lines'], 'id'));
        $this->assertFalse($mark['passed']);
        $why = json_encode($mark['lines'][0]);
        $this->assertStringContainsString('1 of 10', $why);
        $this->assertStringContainsString('Gas in, inlet tap of the gas valve: written down, and not read', $why);
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->where('job.work', 'commission')->has('debrief.entries.10'));
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
        $this->actingAs($this->instructor)->get("/jobs/{$attempt->assignment_id}")->assertOk();
    }

    public function test_signed_into_service_out_of_order_never_passes(): void
    {
        $attempt = $this->begun('valve:set-low');
        $this->measured(1.2, 'out_of_order');
        $this->do('sign', ['as' => 'in_service'])->assertOk();
        $this->do('hand_back')->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertSame('signed_wrong', $mark['verdict']);
        $this->assertStringContainsString('signed into service', (string) json_encode($mark['not_passed']));
        $this->assertFalse($mark['passed']);
    }

    public function test_a_hint_names_a_row_and_an_examination_has_none(): void
    {
        $this->begun('healthy');
        $reply = $this->do('hint', ['grade' => 'where'])->assertOk();
        $this->assertStringContainsString('is not right yet', (string) json_encode($this->attempt->entries()->get()));
        $this->at = 0;
        $this->begun('healthy', AssignmentKind::Exam);
        $this->assertNotNull($this->do('hint', ['grade' => 'where'])->json('entry.refused') ?? $reply);
    }

    public function test_what_has_no_plate_or_taps_is_not_given(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('furnace-80')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'C', 'fault' => 'healthy', 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'Prove it.', 'work' => 'anything',
        ])->assertSessionHasErrors();
        $this->assertSame(0, Task::query()->where('kind', 'give')->count());
    }
}
