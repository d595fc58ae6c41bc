<?php

namespace Tests\Feature;

use App\Jobs\RunTask;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Task;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Queue;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** What can be told of a model's faults: begun once, done as a queue job, shown to instructors. */
class AnalysisTest extends TestCase
{
    use RefreshDatabase, School;

    private Appliance $boiler;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->boiler = Appliance::ship('boiler-simple-230'); // the smallest
        $this->actingAs($this->instructor);
    }

    public function test_it_is_queued_once_and_says_that_it_waits(): void
    {
        Queue::fake();
        $this->getJson($this->url())->assertOk()->assertJsonMissing(['share' => 0.0]);
        $this->postJson($this->url())->assertOk()->assertJsonPath('doing', 'In line');
        $this->postJson($this->url())->assertOk();
        Queue::assertPushed(RunTask::class, 1);
        $this->getJson($this->url())->assertJsonPath('result', null);
    }

    public function test_its_result_has_the_tree_and_grades_and_makes_the_answer_key(): void
    {
        $this->postJson($this->url())->assertOk(); // the queue of the tests does it at once
        $result = $this->getJson($this->url())->assertOk()->assertJsonPath('doing', 'Done')->json('result');
        $this->assertSame('healthy', $result['faults'][0]['id']);
        $this->assertGreaterThan($result['bound'], $result['expected']);
        $this->assertArrayHasKey('ask', $result['tree']);

        $fault = collect($result['faults'])->firstWhere('questions', '>', 1)['id'];
        $key = Analysis::query()->sole()->key($fault);
        $this->assertCount($key['difficulty']['questions'], $key['path']);
        $this->assertNull(Analysis::query()->sole()->key('gremlin:here'));
        $all = array_column($result['faults'], 'id');
        $left = Analysis::query()->sole()->left($fault, $all);
        $this->assertSame(count($all), $left[0]);
        $this->assertSame($left, array_values(array_unique($left)), 'no question that tells nothing');
        $this->assertLessThanOrEqual(count($key['path']) + 1, count($left));
        $this->assertSame([1], Analysis::query()->sole()->left($fault, [$fault]));
        $this->assertNull(Analysis::query()->sole()->left('gremlin:here', $all));
        $job = Assignment::query()->findOrFail($this->giveBoiler($fault));
        $this->get("/jobs/$job->id")->assertInertia(
            fn (AssertableInertia $page) => $page->has('job.key.path', count($key['path'])),
        );
        $this->actingAs($this->trainee)
            ->get("/jobs/$job->id")
            ->assertNotFound();
    }

    public function test_what_failed_says_so_and_is_begun_anew(): void
    {
        Queue::fake();
        $this->postJson($this->url())->assertOk();
        $task = Task::query()->sole();
        $task->update(['state' => 'running']);
        $task->fail('It may be too large.');
        $this->assertSame('It may be too large.', $this->getJson($this->url())->json('error'));
        $this->postJson($this->url())->assertOk()->assertJsonPath('error', null);
        Queue::assertPushed(RunTask::class, 2);
    }

    public function test_a_visit_that_is_not_there_is_refused(): void
    {
        $this->getJson("/models/{$this->boiler->id}/analysis?visit=never")->assertUnprocessable();
        $this->postJson("/models/{$this->boiler->id}/analysis?visit=never")->assertUnprocessable();
    }

    public function test_a_trainee_may_neither_see_nor_begin_it(): void
    {
        $this->actingAs($this->trainee);
        $this->getJson($this->url())->assertNotFound();
        $this->postJson($this->url())->assertNotFound();
    }

    private function url(): string
    {
        return "/models/{$this->boiler->id}/analysis?visit=cold";
    }

    private function giveBoiler(string $fault): int
    {
        $this->post('/jobs', [
            'appliance' => $this->boiler->id,
            'course' => $this->course->id,
            'trainees' => [$this->trainee->id],
            'title' => 'Boiler',
            'fault' => $fault,
            'visit' => 'cold',
            'kind' => 'practice',
            'complaint' => 'Cold.',
        ])->assertRedirect();

        return Assignment::query()->sole()->id;
    }
}
