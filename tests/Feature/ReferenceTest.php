<?php

namespace Tests\Feature;

use App\Models\AssignmentWork;
use App\Models\RuleSet;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** What may be looked up beside the appliance. */
class ReferenceTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
    }

    public function test_how_each_kind_of_job_is_judged_is_for_everybody_who_is_signed_in(): void
    {
        $this->get('/judging')->assertRedirect('/login');
        $sections = $this->actingAs($this->trainee)->get('/judging')->assertOk()->inertiaProps('sections');
        $told = array_column($sections, 'id');
        foreach (AssignmentWork::cases() as $work) {
            $this->assertContains($work->value, $told, 'nobody is told how this is judged');
        }
        $this->assertStringContainsString('<p>', $sections[0]['html']);
        $this->assertStringNotContainsString('<script', implode('', array_column($sections, 'html')));
    }

    public function test_the_card_and_the_sums_are_for_everybody_who_is_signed_in(): void
    {
        foreach ([$this->trainee, $this->instructor] as $user) {
            $this->actingAs($user)
                ->get('/reference')
                ->assertInertia(
                    fn (AssertableInertia $page) => $page->component('Reference')->has('groups')->has('sums.wire'),
                );
            $this->postJson('/reference/sums/flame', ['with' => ['volts' => 27, 'megohms' => 1]])
                ->assertOk()
                ->assertJsonPath('0.unit', 'µA');
        }
        $this->postJson('/reference/sums/flame', ['with' => ['volts' => 27]])
            ->assertUnprocessable()
            ->assertJsonPath('message', 'Flame and feed in series: a figure is missing.');
        $this->postJson('/reference/sums/flame', [
            'with' => ['volts' => 'many', 'megohms' => 1],
        ])->assertUnprocessable();
        $this->postJson('/reference/sums/tea', ['with' => ['volts' => 1]])->assertUnprocessable();
    }

    public function test_ladder_and_card_come_to_the_bench_only_where_the_rules_let_them(): void
    {
        $job = $this->give();
        $attempt = $this->begin($job);
        $this->get("/attempts/$attempt->id")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->has('board.ladder.circuits', 2)
                ->where('board.parts', fn ($parts) => collect($parts)->contains(fn ($p) => $p['card'] !== null)),
        );
        $job->update(['rules' => ['papers' => []] + RuleSet::query()->where('name', 'first-year')->sole()->document]);
        $this->get("/attempts/$attempt->id")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->missing('board.ladder')
                ->where('board.parts', fn ($parts) => ! collect($parts)->contains(fn ($p) => $p['card'] !== null)),
        );
    }
}
