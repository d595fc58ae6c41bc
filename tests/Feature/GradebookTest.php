<?php

namespace Tests\Feature;

use App\Models\Attempt;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** What a class has shown, computed from its marks. */
class GradebookTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    /** @param array<string, array{float, float}> $lines share and weight by line */
    private function marked(string $fault, array $lines, bool $passed): Attempt
    {
        $attempt = $this->begin($this->give($fault));
        $attempt->update(['handed_back_at' => now(), 'mark' => [
            'total' => 70.5, 'passed' => $passed,
            'lines' => array_map(
                fn (string $id, array $of) => ['id' => $id, 'share' => $of[0], 'weight' => $of[1], 'why' => []],
                array_keys($lines),
                $lines,
            ),
        ]]);

        return $attempt;
    }

    public function test_marks_competencies_and_what_is_hard_follow_from_judged_lines(): void
    {
        $all = fn (float $trace): array => [
            'trace' => [$trace, 30], 'finding' => [1.0, 10], 'technique' => [0.5, 10], 'safety' => [1.0, 20],
            'report' => [0.0, 0], // weighs nothing, so it shows nothing
        ];
        $first = $this->marked('limit:stuck-open', $all(0.2), false);
        $this->marked('igniter:cracked', $all(0.8), true);
        $seen = null;
        $this->actingAs($this->instructor)
            ->get("/courses/{$this->course->id}/record")
            ->assertInertia(function (AssertableInertia $page) use (&$seen): void {
                $page->component('Gradebook')->has('jobs', 2)->has('people', 2);
                $seen = $page->toArray()['props'];
            });
        $person = collect($seen['people'])->firstWhere('id', $this->trainee->id);
        $this->assertSame($first->id, collect($person['marks'])->firstWhere('passed', false)['attempt']);
        $this->assertSame(70.5, $person['marks'][0]['total']);
        $of = $person['competencies'];
        $this->assertEqualsWithDelta(0.6, $of['airflow and limits']['share'], 1e-9);
        $this->assertEqualsWithDelta(0.9, $of['ignition']['share'], 1e-9);
        $this->assertSame(2, $of['meter use']['jobs']);
        $this->assertEqualsWithDelta(0.5, $of['meter use']['share'], 1e-9);
        $this->assertArrayNotHasKey('verification', $of);
        $this->assertSame('No job has shown it yet.', $person['next']['why']);
        $this->assertNotContains('oil', array_column(array_column($seen['people'], 'next'), 'competency'));
        $this->assertSame('meter use', $seen['hard'][0]['competency']);
        $other = collect($seen['people'])->firstWhere('id', $this->classmate->id);
        $this->assertSame([], $other['competencies']);
    }

    public function test_each_sees_his_own_progress_and_nobody_elses(): void
    {
        $this->marked('limit:stuck-open', ['trace' => [1.0, 30]], true);
        $this->actingAs($this->trainee)->get('/progress')->assertInertia(
            fn (AssertableInertia $page) => $page->component('Progress')->has('done', 1)->where('done.0.passed', true),
        );
        $this->actingAs($this->classmate)->get('/progress')->assertInertia(
            fn (AssertableInertia $page) => $page->has('done', 0),
        );
        $this->actingAs(User::factory()->instructor()->create())
            ->getJson("/courses/{$this->course->id}/record")
            ->assertNotFound();
    }
}
