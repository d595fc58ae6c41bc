<?php

namespace Tests\Feature;

use App\Models\Assignment;
use App\Models\RuleSet;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** House rules: read, saved as the next version, given with a job. */
class RuleSetTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->withoutAnalyses();
        $this->actingAs($this->instructor);
    }

    public function test_three_are_shipped(): void
    {
        $this->get('/rules')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Rules')
                ->has('sets', 3)
                ->where('sets.0.document.title', 'First year')
                ->where('sets.0.shipped', true),
        );
        RuleSet::ship();
        $this->assertSame(3, RuleSet::query()->count(), 'and not twice');
    }

    public function test_a_shipped_one_becomes_a_set_of_its_own_and_then_has_versions(): void
    {
        $document = $this->shipped();
        $this->post('/rules', ['document' => $document])->assertSessionHasErrors('title');
        $this->post('/rules', [
            'document' => ['title' => 'Evening class', 'pass_mark' => 60] + $document,
        ])->assertRedirect('/rules?set=evening-class');
        $own = RuleSet::query()->where('name', 'evening-class')->sole();
        $this->assertSame([1, 60], [$own->version, (int) $own->document['pass_mark']]);
        $this->post('/rules', ['document' => ['pass_mark' => 65] + $own->document])->assertRedirect();
        $this->assertSame(
            [1, 2],
            RuleSet::query()->where('name', 'evening-class')->orderBy('version')->pluck('version')->all(),
        );
        $this->assertSame(60, (int) $own->refresh()->document['pass_mark'], 'the version before is as it was');
        $this->assertSame(70, (int) $this->shipped()['pass_mark']);
    }

    public function test_what_is_wrong_says_where_and_nothing_is_saved(): void
    {
        foreach (
            [
                'pass_mark' => ['pass_mark' => 170],
                'weights.trace' => ['weights' => ['trace' => -2] + $this->shipped()['weights']],
                'title' => ['title' => ' '],
                'schools.start' => ['schools' => ['start' => 'attic']],
                'barred.0' => ['barred' => ['look']],
            ] as $where => $wrong
        ) {
            $this->post('/rules', [
                'document' => $wrong + ['title' => 'Mine'] + $this->shipped(),
            ])->assertSessionHasErrors($where);
        }
        $this->assertSame(3, RuleSet::query()->count());
    }

    public function test_a_job_is_given_under_chosen_rules_and_keeps_them(): void
    {
        $this->post('/rules', [
            'document' => ['title' => 'No jumpers', 'barred' => ['jump']] + $this->shipped(),
        ])->assertRedirect();
        $rules = RuleSet::query()->where('name', 'no-jumpers')->sole();
        $form = [
            'appliance' => $this->furnace()->id,
            'course' => $this->course->id,
            'trainees' => [$this->trainee->id],
            'rules' => $rules->id,
            'title' => 'Bindery',
            'fault' => 'limit:stuck-open',
            'visit' => 'cold',
            'kind' => 'practice',
            'complaint' => 'The paper curls.',
        ];
        $this->post('/jobs', ['rules' => 999] + $form)->assertSessionHasErrors('rules');
        $this->post('/jobs', $form)->assertRedirect();
        $job = Assignment::query()->sole();
        $rules->update(['document' => ['pass_mark' => 1] + $rules->document]);
        $this->assertSame('No jumpers', $job->refresh()->rules['title']);
        $this->assertSame(70, (int) $job->rules['pass_mark']);
        $attempt = $this->begin($job);
        $this->act($attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $this->act($attempt, 'jump', 2, ['from' => 'limit.a', 'to' => 'limit.b'])
            ->assertUnprocessable()
            ->assertJsonPath('message', '/act: The house rules of this job do not allow that.');
        $this->assertSame(1, $attempt->entries()->count());
        $this->act($attempt, 'look', 3, ['part' => 'limit'])->assertOk();
    }

    public function test_rules_are_tried_on_the_last_attempts_and_nothing_of_it_is_kept(): void
    {
        $this->postJson('/rules/preview', ['document' => ['pass_mark' => 170] + $this->shipped()])
            ->assertUnprocessable()
            ->assertJsonValidationErrors('pass_mark');
        $this->postJson('/rules/preview', ['document' => $this->shipped()])->assertOk()->assertJsonPath('rows', []);

        $attempt = $this->begin($this->give());
        $this->act($attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $this->act($attempt, 'hand_back', 2)->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->actingAs($this->instructor);
        $with = ['weights' => ['safety' => 100] + array_fill_keys(array_keys($this->shipped()['weights']), 0)];
        $reply = $this->postJson('/rules/preview', ['document' => $with + $this->shipped()])->assertOk();
        $reply->assertJsonPath('rows.0.attempt', $attempt->id)->assertJsonPath('rows.0.old.total', $mark['total']);
        $this->assertNotSame($mark['total'], $reply->json('rows.0.new.total'));
        $this->assertSame($mark, $attempt->refresh()->mark);
        $this->assertSame(1, $attempt->marks()->count());

        $this->getJson("/rules/preview/{$reply->json('id')}")->assertOk()->assertJsonCount(1, 'rows');
        $other = User::factory()->instructor()->create();
        $this->actingAs($other)->getJson("/rules/preview/{$reply->json('id')}")->assertNotFound();
        $this->postJson('/rules/preview', ['document' => $this->shipped()])->assertOk()->assertJsonPath('rows', []);
    }

    public function test_a_job_says_what_the_house_has_one_write(): void
    {
        $this->post('/rules', [
            'document' => [
                'title' => 'Written', 'own_sheet' => true, 'weights' => ['report' => 10] + $this->shipped()['weights'],
            ] + $this->shipped(),
        ])->assertRedirect();
        $job = $this->give();
        $job->update(['rules' => RuleSet::query()->where('name', 'written')->sole()->document]);
        $attempt = $this->begin($job);
        $this->get("/attempts/$attempt->id")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('job.rules.own_sheet', true)
            ->where('job.rules.report', true)
            ->where('units.0', 'V AC')
            ->where('questions.since', 'Since when?'));
        $row = ['value' => '24', 'unit' => 'V AC', 'red' => 'board.R', 'black' => 'board.C'];
        $this->act($attempt, 'write_down', 1, $row)->assertOk();
        $this->act($attempt, 'report', 2, ['cause' => 'limit', 'done' => [], 'before' => 0])->assertOk();
        $this->act($attempt, 'hand_back', 3)->assertOk();
        $report = $attempt->refresh()->debrief['report'];
        $this->assertSame(['label' => 'Cause', 'text' => 'Limit'], $report[0]);
    }

    /** @return array<string, mixed> */
    private function shipped(): array
    {
        return RuleSet::query()->where('name', 'first-year')->sole()->document;
    }
}
