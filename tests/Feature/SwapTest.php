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

/** A control swapped at the bench: given, its wires moved over, link and switch seen to, judged by what it does. */
class SwapTest extends TestCase
{
    use RefreshDatabase, School;

    private int $acts = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function begun(AssignmentKind $kind = AssignmentKind::Practice): Attempt
    {
        $job = app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('tube-heater'), $this->course,
            [$this->trainee->id, $this->classmate->id], 'Swap', 'healthy', 'cold', $kind, 'Fit it.', 7,
            asked: new Asked(AssignmentWork::Swap),
        );
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->sole();
    }

    /** @param array<string, mixed> $with */
    private function do(Attempt $attempt, string $name, array $with = []): TestResponse
    {
        $at = $this->actingAs($this->trainee)->get("/attempts/$attempt->id")->inertiaProps('now.now_s');

        return $this->act($attempt, $name, (float) $at, $with, 's'.$this->acts++)->assertOk();
    }

    private function moved(Attempt $attempt): void
    {
        $sheet = $attempt->assignment->fresh()->sheet;
        $this->do($attempt, 'door', ['to' => 'open']);
        $this->do($attempt, 'set', ['part' => 'breaker', 'lever' => 'handle', 'to' => 'off']);
        foreach ($sheet['sound']['wires'] as $wire) {
            if (in_array($wire['id'], $sheet['missing'], true)) {
                $this->do($attempt, 'run_wire', [
                    'from' => $wire['from'], 'to' => $wire['to'], 'colour' => $wire['colour'],
                    'awg' => $wire['awg'] ?? 18,
                ])->assertJsonPath('entry.refused', null);
            }
        }
    }

    public function test_it_is_given_from_the_form_fitted_and_marked(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('tube-heater')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'Swap', 'fault' => 'healthy', 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'Fit it.', 'work' => 'swap',
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Swap, $job->work);
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();
        $attempt = $job->attempts()->sole();
        $this->get("/attempts/$attempt->id")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Bench')->where('wiring.missing', 12)->has('wiring.leaflet.9')->has('wiring.picture.parts')
            ->where('wiring.part', 'board')->missing('wiring.option')->has('wiring.card.2')->where('faults', []));
        $this->moved($attempt);
        foreach (['link-1.a', 'spare.b'] as $end) {
            $this->do($attempt, 'lift', ['end' => $end])->assertJsonPath('entry.refused', null);
        }
        $this->do($attempt, 'set', ['part' => 'board', 'lever' => 'option', 'to' => $job->sheet['option']])
            ->assertJsonPath('entry.refused', null);
        $this->do($attempt, 'hand_back')->assertJsonPath('handed_back', true);
        $mark = $attempt->refresh()->mark;
        $this->assertSame('wired', $mark['verdict'], json_encode($mark['lines']));
        $this->assertSame(['works', 'guards', 'code', 'care'], array_column($mark['lines'], 'id'));
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->where('job.work', 'swap')->has('debrief.entries.0'));
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
        $this->actingAs($this->instructor)->get("/jobs/$job->id")->assertOk();
    }

    public function test_a_link_that_is_left_bridges_a_safety_and_never_passes(): void
    {
        $attempt = $this->begun();
        $this->moved($attempt);
        $this->do($attempt, 'lift', ['end' => 'spare.b']);
        $option = $attempt->assignment->fresh()->sheet['option'];
        $this->do($attempt, 'set', ['part' => 'board', 'lever' => 'option', 'to' => $option]);
        $this->do($attempt, 'hand_back');
        $this->assertSame('unguarded', $attempt->refresh()->mark['verdict']);
        $this->assertFalse($attempt->mark['passed']);
    }

    public function test_a_spare_lead_that_is_not_capped_leaves_it_dead(): void
    {
        $attempt = $this->begun();
        $this->moved($attempt);
        $this->do($attempt, 'lift', ['end' => 'link-1.a']);
        $option = $attempt->assignment->fresh()->sheet['option'];
        $this->do($attempt, 'set', ['part' => 'board', 'lever' => 'option', 'to' => $option]);
        $this->do($attempt, 'hand_back');
        $this->assertSame('miswired', $attempt->refresh()->mark['verdict']);
    }

    public function test_a_hint_judges_what_is_fitted_by_now_and_the_answer_stays_here(): void
    {
        $attempt = $this->begun();
        $page = (string) $this->get("/attempts/$attempt->id")->getContent();
        $this->assertStringNotContainsString('&quot;option&quot;:&quot;8', $page, 'the right position');
        $this->do($attempt, 'hint', ['grade' => 'where']);
        $told = $attempt->entries()->get()->last()->outcome['seen']['hint'];
        $this->assertStringContainsString('is not right yet', $told);
    }

    public function test_what_has_no_control_is_not_given(): void
    {
        $heater = Appliance::ship('wall-heater-millivolt');
        $form = [
            'appliance' => $heater->id, 'course' => $this->course->id, 'trainees' => [$this->trainee->id],
            'title' => 'Swap', 'fault' => 'healthy', 'visit' => $heater->model()->visits()[0], 'kind' => 'practice',
            'complaint' => 'Fit it.', 'work' => 'swap',
        ];
        $this->actingAs($this->instructor)->post('/jobs', $form);
        $this->assertSame(0, Assignment::query()->count());
        $this->assertStringContainsString('no control', (string) Task::query()->where('kind', 'give')->value('error'));
        $this->post('/jobs', ['fault' => 'limit:stuck-open'] + $form)->assertSessionHasErrors('fault');
    }
}
