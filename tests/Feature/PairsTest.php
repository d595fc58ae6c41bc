<?php

namespace Tests\Feature;

use App\Jobs\RunTask;
use App\Models\Task;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Queue;
use Tests\School;
use Tests\TestCase;

/** Two faults at once, weighed after the hand-back for whoever may see the debrief. */
class PairsTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
    }

    public function test_it_is_weighed_once_and_leaves_the_truth_beside_what_it_can_hide(): void
    {
        $attempt = $this->begin($this->give('igniter:cracked'));
        $this->act($attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $this->act($attempt, 'look', 2, ['part' => 'igniter'])->assertOk();
        $this->act($attempt, 'hand_back', 3)->assertOk();
        $pairs = $this->postJson("/attempts/$attempt->id/pairs")->assertOk()->json();
        $this->assertSame(1, $pairs['share']);
        $this->assertLessThanOrEqual($pairs['of'], $pairs['run']);
        $this->assertGreaterThan(0, $pairs['left']);
        $this->assertStringContainsString('Igniter: cracked', $pairs['likeliest'][0]['title']);

        Queue::fake();
        $this->postJson("/attempts/$attempt->id/pairs")->assertOk()->assertJsonPath('left', $pairs['left']);
        Queue::assertNothingPushed();
    }

    public function test_what_failed_says_so_and_is_begun_anew(): void
    {
        Queue::fake();
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'hand_back', 1)->assertOk();
        $this->postJson("/attempts/$attempt->id/pairs")->assertOk()->assertJsonPath('share', 0);
        $this->assertSame(
            'waiting',
            Task::find('pairs', "attempt:$attempt->id")->state->value,
            'his mark is at work first',
        );
        Task::find('mark', "attempt:$attempt->id")->update(['state' => 'running']);
        Task::find('mark', "attempt:$attempt->id")->finish(null);
        $pairs = Task::find('pairs', "attempt:$attempt->id");
        $pairs->update(['state' => 'running']);
        $pairs->fail('It may be too large.');
        $this->assertSame('It may be too large.', $this->getJson("/attempts/$attempt->id/pairs")->json('error'));
        $this->postJson("/attempts/$attempt->id/pairs")
            ->assertOk()
            ->assertJsonMissing(['error' => 'It may be too large.']);
        Queue::assertPushed(RunTask::class, 3);
    }

    public function test_nobody_else_may_and_not_before_the_hand_back(): void
    {
        Queue::fake();
        $attempt = $this->begin($this->give());
        foreach (['GET', 'POST'] as $method) {
            $this->actingAs($this->trainee)->json($method, "/attempts/$attempt->id/pairs")->assertNotFound();
            $this->actingAs($this->instructor)->json($method, "/attempts/$attempt->id/pairs")->assertNotFound();
        }
        $this->actingAs($this->trainee);
        $this->act($attempt, 'hand_back', 1)->assertOk();
        foreach (['GET', 'POST'] as $method) {
            $this->actingAs($this->classmate)
                ->json($method, "/attempts/$attempt->id/pairs")
                ->assertNotFound();
            $this->actingAs(User::factory()->instructor()->create())
                ->json($method, "/attempts/$attempt->id/pairs")
                ->assertNotFound();
            $this->actingAs($this->instructor)
                ->json($method, "/attempts/$attempt->id/pairs")
                ->assertOk();
        }
    }
}
