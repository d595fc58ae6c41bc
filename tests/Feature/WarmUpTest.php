<?php

namespace Tests\Feature;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use OddSpark\Bench\WarmUp;
use Tests\School;
use Tests\TestCase;

/** The training board: begun by anyone of a class, told what was tried, marked by nobody, begun anew. */
class WarmUpTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
    }

    private function beginWarmUp(User $user): Attempt
    {
        $this->actingAs($user)->post('/warm-up')->assertRedirect();

        return Attempt::query()->where('user_id', $user->id)->latest('id')->firstOrFail();
    }

    public function test_what_was_tried_is_told_from_what_was_shown(): void
    {
        $attempt = $this->beginWarmUp($this->trainee);
        $this->get("/attempts/$attempt->id")->assertInertia(
            fn ($page) => $page
                ->where('job.kind', 'warm-up')
                ->has('steps', count(WarmUp::steps()))
                ->where('now.tried', []),
        );
        $this->act($attempt, 'look', 1, ['part' => 'fuse'])
            ->assertOk()
            ->assertJsonPath('tried', ['look']);
        $this->act($attempt, 'leads', 2, ['red' => 'transformer.H1', 'black' => 'transformer.X2'])
            ->assertOk()
            ->assertJsonPath('tried', ['look']);
        $reply = $this->act($attempt, 'leads', 4, ['red' => 'transformer.H1', 'black' => 'transformer.H2'])->assertOk();
        $reply->assertJsonPath('tried', ['look', 'line']);
        $this->assertEqualsWithDelta(120, $reply->json('entry.reading.value'), 2);
        $this->get("/attempts/$attempt->id")->assertInertia(fn ($page) => $page->where('now.tried', ['look', 'line']));
    }

    public function test_it_is_not_marked_and_can_be_begun_anew(): void
    {
        $attempt = $this->beginWarmUp($this->trainee);
        $this->act($attempt, 'look', 1, ['part' => 'fuse'])->assertOk();
        $this->assertSame($attempt->id, $this->beginWarmUp($this->trainee)->id, 'one that is open goes on');
        $this->act($attempt, 'hand_back', 2)->assertOk();
        $this->assertNull($attempt->refresh()->mark);
        $this->get("/attempts/$attempt->id/debrief")->assertRedirect('/');
        $this->get("/attempts/$attempt->id")->assertRedirect('/');

        $again = $this->beginWarmUp($this->trainee);
        $this->assertNotSame($attempt->id, $again->id);
        $this->assertCount(0, $again->entries);
        $this->assertSame(1, Assignment::query()->where('kind', AssignmentKind::WarmUp)->count());
    }

    public function test_a_class_has_it_and_nobody_else(): void
    {
        $attempt = $this->beginWarmUp($this->trainee);
        $this->assertNotSame($attempt->id, $this->beginWarmUp($this->classmate)->id);
        $this->actingAs($this->classmate)->getJson("/attempts/$attempt->id")->assertNotFound();
        $this->beginWarmUp($this->instructor);

        $stranger = User::factory()->create();
        $this->actingAs($stranger)->postJson('/warm-up')->assertForbidden();
        $this->postJson("/jobs/$attempt->assignment_id/attempt")->assertNotFound();
    }

    public function test_it_stands_among_neither_jobs_nor_models(): void
    {
        $this->furnace();
        $this->beginWarmUp($this->trainee);
        $this->get('/')->assertInertia(fn ($page) => $page->component('MyJobs')->has('jobs', 0));
        $this->actingAs($this->instructor)
            ->get('/')
            ->assertInertia(fn ($page) => $page->component('Shop')->has('jobs', 0)->has('models', 1));
        $this->get('/models')->assertInertia(fn ($page) => $page->has('models', 1));
        $this->assertSame(2, Appliance::query()->count());
    }
}
