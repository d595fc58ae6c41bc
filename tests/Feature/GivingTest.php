<?php

namespace Tests\Feature;

use App\Models\Assignment;
use App\Models\Course;
use App\Models\Task;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** The instructor: a model, a fault and what it does, a job given, results. */
class GivingTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->withoutAnalyses();
        $this->actingAs($this->instructor);
    }

    public function test_the_model_shows_its_healthy_run(): void
    {
        $this->get('/models/'.$this->furnace()->id)->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Model')->has('board.parts', 32)->has('faults')->where('healthy.complaint.0.id', 'works')
            ->where('healthy.states', fn ($states) => collect($states)->pluck('state')->contains('heat')));
    }

    public function test_a_fault_shows_what_it_does_and_what_the_customer_says(): void
    {
        $preview = $this->getJson(
            '/models/'.$this->furnace()->id.'/preview?fault=igniter:cracked&visit=cold',
        )->assertOk();
        $this->assertSame('We have no heat at all.', $preview->json('complaint.0.text'));
        $this->assertContains('lockout', collect($preview->json('states'))->pluck('state'));
        $this->getJson('/models/'.$this->furnace()->id.'/preview?fault=gremlin&visit=cold')->assertUnprocessable();
    }

    public function test_a_job_is_given_and_frozen(): void
    {
        $this->post('/jobs', $this->form())->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame('The paper curls.', $job->complaint);
        $this->assertSame($this->furnace()->hash, $job->hash);
        $this->assertSame([$this->trainee->id], $job->trainees->pluck('id')->all());
        $this->assertSame(1, Task::query()->where('kind', 'analysis')->count(), 'for its answer key');
        $this->furnace()->update(['document' => '{}', 'hash' => str_repeat('0', 64)]);
        $attempt = $this->begin($job->fresh());
        $this->act($attempt, 'look', 1, ['part' => 'thermostat'])
            ->assertOk()
            ->assertJsonPath('entry.seen.mode', 'heat');
    }

    public function test_the_kit_and_the_house_rules_of_the_form_go_with_the_job(): void
    {
        $this->post(
            '/jobs',
            ['low_battery' => true, 'worn_leads' => true, 'stops' => true] + $this->form(),
        )->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(['low_battery' => true, 'worn_leads' => true], $job->kit);
        $attempt = $this->begin($job);
        $this->act($attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $reply = $this->act($attempt, 'jump', 2, ['from' => 'limit.a', 'to' => 'limit.b'])->assertOk();
        $this->assertStringStartsWith('The house rules stop this.', $reply->json('entry.refused'));
        $this->actingAs($this->instructor)->post('/jobs', $this->form())->assertRedirect();
        $this->assertSame([], Assignment::query()->latest('id')->first()->rules['stops']);
    }

    public function test_what_is_wrong_with_the_form_is_said_and_nothing_is_given(): void
    {
        $stranger = Course::factory()->create();
        foreach (
            [
                'title' => ['title' => ''],
                'fault' => ['fault' => 'limit:haunted'],
                'visit' => ['visit' => 'midnight'],
                'kind' => ['kind' => 'dare'],
                'course' => ['course' => $stranger->id],
                'trainees.0' => ['trainees' => [$this->instructor->id]],
                'complaint' => ['complaint' => ''],
            ] as $field => $wrong
        ) {
            $this->post('/jobs', $wrong + $this->form())->assertSessionHasErrors($field);
        }
        $this->assertSame(0, Assignment::query()->count());
    }

    public function test_the_instructor_tries_it_and_sees_results(): void
    {
        $job = $this->give();
        $attempt = $this->begin($job);
        $this->act($attempt, 'hand_back', 1)->assertOk();
        $this->actingAs($this->instructor)
            ->get("/jobs/$job->id")
            ->assertInertia(
                fn (AssertableInertia $page) => $page
                    ->component('Job')
                    ->where('job.fault', 'Limit: stuck open')
                    ->has('rows', 1)
                    ->where('rows.0.handed_back', true)
                    ->where('rows.0.verdict', 'No fault was named'),
            );
        $this->get('/')->assertInertia(
            fn (AssertableInertia $page) => $page->component('Shop')->where('jobs.0.done', 1),
        );
        $this->actingAs($this->trainee)
            ->get('/')
            ->assertInertia(
                fn (AssertableInertia $page) => $page
                    ->component('MyJobs')
                    ->where('jobs.0.handed_back', true)
                    ->missing('jobs.0.fault'),
            );
    }

    /** @return array<string, mixed> */
    private function form(): array
    {
        return [
            'appliance' => $this->furnace()->id,
            'course' => $this->course->id,
            'trainees' => [$this->trainee->id],
            'title' => 'Bindery',
            'fault' => 'limit:stuck-open',
            'visit' => 'cold',
            'kind' => 'practice',
            'complaint' => 'The paper curls.',
        ];
    }
}
