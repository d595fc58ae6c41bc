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

/** A sequence put in order on a sheet: given, answered, handed in, marked. */
class OrderTest extends TestCase
{
    use OnASheet, RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function job(AssignmentKind $kind = AssignmentKind::Practice, string $fault = 'healthy'): Assignment
    {
        return app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('boiler-hydronic'), $this->course,
            [$this->trainee->id, $this->classmate->id], 'In order', $fault, 'cold', $kind, 'It heats.', 7,
            asked: new Asked(AssignmentWork::Order, 6),
        );
    }

    /** @return list<list<string>> a right answer to each question */
    private function right(Assignment $job): array
    {
        return array_map(
            fn (array $q): array => $q['sort'] === 'order' ? $q['right'] : [$q['right'][0]],
            $job->fresh()->sheet['asked'],
        );
    }

    private function form(array $with): array
    {
        return $with + [
            'appliance' => Appliance::ship('boiler-hydronic')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'In order', 'fault' => 'healthy', 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'It heats.', 'work' => 'order', 'many' => 6,
        ];
    }

    public function test_it_is_given_from_the_form_answered_and_marked(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', $this->form([]))->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Order, $job->work);
        $attempt = $this->begun($job);
        $this->get("/attempts/$attempt->id")->assertRedirect("/attempts/$attempt->id/sheet");
        $this->get("/attempts/$attempt->id/sheet")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Order')->has('rows', 6)->where('rows.0.said', null)->where('rows.0.sort', 'order')
            ->missing('rows.0.right')->missing('rows.0.told')->missing('rows.0.choices.0.key'));
        foreach ($this->right($job) as $i => $picked) {
            $this->say($attempt, $i, $picked)->assertOk()->assertJsonPath('said.right', true);
        }
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertEquals(100, $mark['total']);
        $this->assertSame('in_order', $mark['verdict']);
        $this->assertSame(['sequence', 'proof'], array_column($mark['lines'], 'id'));
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->has('debrief.entries', 6)->where('job.work', 'order'));
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
        $this->actingAs($this->instructor)->get("/jobs/$job->id")->assertOk();
    }

    public function test_a_wrong_answer_is_told_and_stands_and_what_is_none_is_refused(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $right = $this->right($job);
        $this->say($attempt, 0, array_slice($right[0], 1))->assertUnprocessable()
            ->assertSee('Put all the steps in order.');
        $this->say($attempt, 1, ['c0', 'c1'])->assertUnprocessable();
        $this->say($attempt, 1, ['nothing'])->assertUnprocessable();
        $this->say($attempt, 9, ['c0'])->assertUnprocessable();
        $turned = array_reverse($right[0]);
        $said = $this->say($attempt, 0, $turned)->assertOk()->assertJsonPath('said.right', false)->json('said');
        $this->say($attempt, 0, $right[0])->assertOk()->assertJsonPath('said', $said);
        $this->assertSame(1, Prediction::query()->count());
        $this->postJson("/attempts/$attempt->id/predictions", ['item' => 1, 'said' => 3])->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $this->assertFalse($attempt->refresh()->mark['passed']);
        $this->say($attempt, 1, $right[1])->assertConflict();
    }

    public function test_in_an_examination_nothing_is_told_and_there_are_no_hints(): void
    {
        $job = $this->job(AssignmentKind::Exam);
        $attempt = $this->begun($job);
        $page = (string) $this->get("/attempts/$attempt->id/sheet")->getContent();
        foreach (['&quot;right&quot;:[', '&quot;told&quot;', '&quot;key&quot;'] as $secret) {
            $this->assertStringNotContainsString($secret, $page);
        }
        $this->say($attempt, 0, $this->right($job)[0])->assertOk()->assertJsonPath('said.right', null)
            ->assertJsonPath('said.why', null);
        $this->postJson("/attempts/$attempt->id/predictions/hint", ['item' => 1])->assertUnprocessable();
    }

    public function test_hints_tell_more_and_more_and_cost(): void
    {
        $attempt = $this->begun($this->job());
        $told = [];
        foreach ([1, 2, 3] as $i) {
            $told[] = $this->postJson("/attempts/$attempt->id/predictions/hint", ['item' => 0])->assertOk()
                ->assertJsonPath('taken', $i)->json('text');
        }
        $this->assertGreaterThan(strlen($told[0]), strlen($told[2]));
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $this->assertEquals(19, $attempt->refresh()->mark['hints']['points']);
    }

    public function test_what_cannot_be_asked_is_not_given(): void
    {
        $this->actingAs($this->instructor);
        $this->post('/jobs', $this->form(['many' => 20]))->assertSessionHasErrors('many');
        $this->post('/jobs', $this->form(['many' => 0]))->assertSessionHasErrors('many');
        $this->post('/jobs', $this->form(['fault' => 'high:stuck-closed']));
        $heater = Appliance::ship('water-heater-thermopile');
        $this->post('/jobs', $this->form(['appliance' => $heater->id, 'visit' => $heater->model()->visits()[0]]));
        $this->assertSame(0, Assignment::query()->count());
        $errors = Task::query()->where('kind', 'give')->orderBy('id')->pluck('error');
        $this->assertStringContainsString('does not stop a call', (string) $errors[0]);
        $this->assertStringContainsString('Nothing follows on a call', (string) $errors[1]);
    }

    public function test_a_fault_that_is_picked_is_the_run_that_is_shown_and_the_appliance_is_sound(): void
    {
        $job = $this->job(fault: 'high:stuck-open');
        $why = collect($job->sheet['asked'])->firstWhere('sort', 'why');
        $this->assertStringContainsString('High limit', $why['told']);
        $attempt = $this->begun($job);
        $page = (string) $this->get("/attempts/$attempt->id/sheet")->getContent();
        $this->assertStringNotContainsString('stuck-open', $page);
        $this->assertStringNotContainsString('stuck open', $page);
    }
}
