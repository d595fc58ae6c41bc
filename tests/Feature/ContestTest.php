<?php

namespace Tests\Feature;

use App\Models\Attempt;
use App\Models\Role;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** A mark that is contested goes to a second marker, who does not see the first's; both are kept. */
class ContestTest extends TestCase
{
    use RefreshDatabase, School;

    private User $assessor;

    private Attempt $attempt;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->assessor = User::factory()->create(['role' => Role::Assessor]);
        $this->course->staff()->attach($this->assessor->id, ['part' => 'marks']);
        $this->attempt = $this->begin($this->give());
        $this->act($this->attempt, 'hand_back', 0)->assertOk();
    }

    private function set(User $who, string $line, ?float $points): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($who)->postJson(
            "/attempts/{$this->attempt->id}/overrides",
            ['line' => $line, 'points' => $points, 'reason' => 'seen so'],
        );
    }

    private function total(): float
    {
        return $this->attempt->fresh()->mark['total'];
    }

    public function test_the_second_marker_sees_what_was_computed_and_not_what_the_first_set(): void
    {
        $computed = $this->total();
        $line = collect($this->attempt->fresh()->mark['lines'])->first(
            fn ($l) => $l['weight'] >= 5 && $l['points'] < $l['weight'],
        )['id'];
        $this->set($this->instructor, $line, 1.5)->assertRedirect();
        $first = $this->total();
        $contest = fn (User $who) => $this->actingAs($who)->postJson(
            "/attempts/{$this->attempt->id}/contest",
            ['reason' => 'The trace was sound.'],
        );
        $contest($this->classmate)->assertNotFound();
        $contest($this->instructor)->assertNotFound();
        $contest($this->trainee)->assertRedirect();
        $contest($this->trainee)->assertUnprocessable();

        $url = "/attempts/{$this->attempt->id}/debrief";
        $this->actingAs($this->assessor)->get($url)->assertInertia(fn (AssertableInertia $page) => $page
            ->where('contest.marks', true)->where('contest.first', null)
            ->where('mark.total', fn ($total) => abs($total - $computed) < 0.05));
        $this->getJson("$url.pdf")->assertConflict();
        $this->getJson("/attempts/{$this->attempt->id}/paper.json")->assertConflict();
        $this->actingAs($this->instructor)->get($url)->assertInertia(fn (AssertableInertia $page) => $page
            ->where('contest.marks', false)->where('mark.total', fn ($total) => abs($total - $first) < 0.05));
        $this->postJson("/attempts/{$this->attempt->id}/contest/finish")->assertNotFound();

        $this->set($this->assessor, $line, 4.0)->assertRedirect();
        $this->assertSame($first, $this->total(), 'not before he has finished');
        $this->postJson("/attempts/{$this->attempt->id}/contest/finish")->assertRedirect();
        $second = $this->total();
        $this->assertEqualsWithDelta($first + 2.5, $second, 0.11);
        $kept = $this->attempt->contests()->sole();
        $this->assertSame(
            [$first, $second, $this->assessor->id],
            [$kept->first_total, $kept->second_total, $kept->marker_id],
        );
        $this->assertSame(2, $this->attempt->overrides()->count(), 'both are kept');
        $this->actingAs($this->trainee)->get($url)->assertInertia(fn (AssertableInertia $page) => $page
            ->where('contest.first', fn ($t) => abs($t - $first) < 0.05)->where(
                'contest.second',
                fn ($t) => abs($t - $second) < 0.05,
            )
            ->where('contest.open', false));
    }

    public function test_who_has_marked_it_before_is_no_second_marker(): void
    {
        $line = $this->attempt->fresh()->mark['lines'][0];
        $this->set($this->assessor, $line['id'], 0.0)->assertRedirect();
        $this->actingAs($this->trainee)->postJson(
            "/attempts/{$this->attempt->id}/contest",
            ['reason' => 'No.'],
        )->assertRedirect();
        $this->actingAs($this->assessor)->postJson("/attempts/{$this->attempt->id}/contest/finish")->assertNotFound();
        $colleague = User::factory()->instructor()->create();
        $this->course->staff()->attach($colleague->id, ['part' => 'teaches']);
        $this->actingAs($colleague)->postJson("/attempts/{$this->attempt->id}/contest/finish")->assertRedirect();
    }
}
