<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Prediction;
use App\Models\Task;
use App\Work\Asked;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\OnASheet;
use Tests\School;
use Tests\TestCase;

/** A sheet of loads that are off: given, each explained by a chain, handed in, marked. */
class ExplanationTest extends TestCase
{
    use OnASheet, RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function job(AssignmentKind $kind = AssignmentKind::Practice): Assignment
    {
        return app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('boiler-hydronic'), $this->course,
            [$this->trainee->id, $this->classmate->id], 'Why', 'high:stuck-open', 'cold', $kind, 'It does not heat.', 7,
            asked: new Asked(AssignmentWork::Explain, 3),
        );
    }

    /** @return list<list<string>> a chain for each question */
    private function chains(Assignment $job): array
    {
        return array_map(fn (array $q): array => array_column($q['chains'][0], 'id'), $job->fresh()->sheet['asked']);
    }

    public function test_it_is_given_from_the_form_explained_and_marked(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('boiler-hydronic')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'Why', 'fault' => 'high:stuck-open', 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'It does not heat.', 'work' => 'explain', 'many' => 3,
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Explain, $job->work);
        $attempt = $this->begun($job);
        $this->get("/attempts/$attempt->id")->assertRedirect("/attempts/$attempt->id/sheet");
        $this->get("/attempts/$attempt->id/sheet")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Explain')->has('rows', 3)->where('rows.0.said', null)->has('pickable.0')
            ->where('fault', 'High limit: stuck open')->missing('rows.0.chains'));
        foreach ($this->chains($job) as $i => $chain) {
            $this->say($attempt, $i, $chain)->assertOk()->assertJsonPath('said.right', true);
        }
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertEquals(100, $mark['total']);
        $this->assertSame('explained', $mark['verdict']);
        $this->assertSame(['explained', 'root'], array_column($mark['lines'], 'id'));
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->has('debrief.entries', 3)->where('job.work', 'explain'));
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
        $this->actingAs($this->instructor)->get("/jobs/$job->id")->assertOk();
    }

    public function test_a_wrong_chain_is_told_and_stands(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $said = $this->say($attempt, 0, ['cut-off.contact'])->assertOk()->assertJsonPath('said.right', false)->json('said');
        $this->say($attempt, 0, $this->chains($job)[0])->assertOk()->assertJsonPath('said', $said);
        $this->assertSame(1, Prediction::query()->count());
        $this->say($attempt, 1, ['nothing.at_all'])->assertUnprocessable();
        $this->say($attempt, 9, ['cut-off.contact'])->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/predictions", ['item' => 1, 'said' => 3])->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $this->assertFalse($attempt->refresh()->mark['passed']);
        $this->say($attempt, 1, ['cut-off.contact'])->assertConflict();
    }

    public function test_in_an_examination_nothing_is_told_and_there_are_no_hints(): void
    {
        $job = $this->job(AssignmentKind::Exam);
        $attempt = $this->begun($job);
        $page = (string) $this->get("/attempts/$attempt->id/sheet")->getContent();
        $this->assertStringNotContainsString('&quot;chains&quot;', $page);
        $this->say($attempt, 0, ['high.contact'])->assertOk()->assertJsonPath('said.right', null)
            ->assertJsonPath('said.why', null);
        $this->postJson("/attempts/$attempt->id/predictions/hint", ['item' => 1])->assertUnprocessable();
    }

    public function test_hints_go_along_the_chain_and_cost(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $told = [];
        foreach ([1, 2, 3] as $i) {
            $told[] = $this->postJson("/attempts/$attempt->id/predictions/hint", ['item' => 0])->assertOk()
                ->assertJsonPath('taken', $i)->json('text');
        }
        $this->assertStringContainsString('High limit', $told[2]);
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $this->assertEquals(19, $attempt->refresh()->mark['hints']['points']);
    }

    public function test_what_has_nothing_to_explain_is_not_given(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('wall-heater-millivolt')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'Why', 'fault' => 'healthy',
            'visit' => Appliance::ship('wall-heater-millivolt')->model()->visits()[0],
            'kind' => 'practice', 'complaint' => 'It heats.', 'work' => 'explain', 'many' => 3,
        ]);
        $this->assertSame(0, Assignment::query()->count());
        $this->assertStringContainsString('Pick a fault', (string) Task::query()->where('kind', 'give')->value('error'));
    }
}
