<?php

namespace Tests\Feature;

use App\Models\Analysis;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\User;
use App\Tasks\PreviewRules;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** Jobs with a fault drawn for each, in an order, copied, and what is practised at will. */
class GivenTest extends TestCase
{
    use RefreshDatabase, School;

    private const POOL = ['limit:stuck-open', 'igniter:cracked', 'transformer:secondary-open'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    /** @param array<string, mixed> $with */
    private function request(array $with = []): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->instructor)->postJson('/jobs', $with + [
            'appliance' => $this->furnace()->id, 'course' => $this->course->id,
            'trainees' => $this->course->trainees()->pluck('users.id')->all(), 'title' => 'Drawn', 'fault' => self::POOL[0],
            'visit' => 'cold', 'kind' => 'exam', 'complaint' => 'No heat.',
        ]);
    }

    public function test_of_a_pool_each_gets_a_fault_neighbours_another_and_it_is_one_job_to_all(): void
    {
        $this->request(['pool' => array_slice(self::POOL, 1)])->assertRedirect();
        $jobs = Assignment::query()->whereNotNull('pool')->get();
        $this->assertSame(self::POOL, $jobs->pluck('fault')->all());
        $this->assertSame(1, $jobs->unique('pool')->count());
        [$one, $two] = [$this->trainee->assignments()->sole(), $this->classmate->assignments()->sole()];
        $this->assertNotSame($one->fault, $two->fault);

        $this->get('/')->assertInertia(
            fn (
                AssertableInertia $page,
            ) => $page->has('jobs', 1)->where('jobs.0.given', 2)->where('jobs.0.faults', 3),
        );
        $this->get("/jobs/{$jobs[0]->id}")->assertInertia(fn (AssertableInertia $page) => $page->has('pool', 3));
        $this->postJson("/jobs/{$jobs[0]->id}/window", ['minutes' => 40])->assertRedirect();
        $this->assertSame([40, 40, 40], Assignment::query()->whereNotNull('pool')->pluck('minutes')->all());

        // whoever sees his own job learns nothing of the others'
        $page = $this->actingAs($this->trainee)->get('/')->getContent();
        foreach (['pool', ...self::POOL] as $secret) {
            $this->assertStringNotContainsString($secret, $page);
        }
        $this->post("/jobs/$two->id/attempt")->assertNotFound();
        $attempt = $this->begin($one);
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $this->actingAs($this->instructor)->get("/courses/{$this->course->id}/record")->assertInertia(
            fn (AssertableInertia $page) => $page->has('jobs', 1)->where('jobs.0.id', $jobs[0]->id),
        );

        // a second try is drawn again, and the first stays
        $this->post("/jobs/$one->id/trainees/{$this->trainee->id}/again")->assertRedirect();
        $next = $this->trainee->assignments()->sole();
        $this->assertNotSame($one->fault, $next->fault);
        $this->assertNotNull($attempt->fresh()->mark);
        $this->begin($next);
        $this->assertSame(2, Attempt::query()->where('user_id', $this->trainee->id)->count());
    }

    public function test_a_pool_of_what_the_model_has_not_is_refused_and_so_is_a_band_that_is_not_known_yet(): void
    {
        $this->request(['pool' => ['moon:full']])->assertJsonValidationErrorFor('pool');
        $this->request(['band' => [2, 3]])->assertJsonValidationErrorFor('band');
        $rows = array_map(fn (string $id, int $grade) => ['id' => $id, 'grade' => $grade], self::POOL, [2, 4, 3]);
        Analysis::query()->create([
            'hash' => $this->furnace()->hash, 'engine' => Assignment::ENGINE, 'visit' => 'cold',
            'result' => json_encode(['faults' => $rows]),
        ]);
        $this->request(['band' => [5, 5]])->assertJsonValidationErrorFor('band');
        $this->request(['band' => [2, 3]])->assertRedirect();
        $this->assertSame([self::POOL[0], self::POOL[2]], Assignment::query()->pluck('fault')->all());
    }

    public function test_a_job_opens_once_the_one_before_is_passed_with_its_mark(): void
    {
        $before = $this->give();
        $this->request(['title' => 'Second', 'after' => $before->id, 'after_mark' => 70])->assertRedirect();
        $second = Assignment::query()->where('title', 'Second')->sole();
        $begin = fn () => $this->actingAs($this->trainee)->post("/jobs/$second->id/attempt");
        $refused = fn () => $begin()->assertRedirect('/')->assertSessionHas(
            'flash',
            '“Second” opens once you have passed “A job” with 70 or more.',
        );
        $refused();
        $attempt = $this->begin($before);
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $refused();
        foreach ([[true, 69.0, false], [false, 80.0, false], [true, 70.0, true]] as [$passed, $total, $opens]) {
            DB::table('attempts')->where('id', $attempt->id)->update(
                ['mark' => json_encode(['passed' => $passed, 'total' => $total] + $attempt->fresh()->mark)],
            );
            $opens ? $begin()->assertRedirect('/attempts/'.Attempt::query()->max('id')) : $refused();
        }
        $this->request(
            ['title' => 'Third', 'after' => Assignment::query()->max('id') + 9],
        )->assertJsonValidationErrorFor('after');
    }

    public function test_a_plan_is_given_again_to_another_class_moved_by_days_and_in_its_order(): void
    {
        $first = $this->give();
        $first->update(['opens_at' => '2026-10-05 08:00:00', 'closes_at' => '2026-10-09 16:00:00']);
        $this->request(
            [
                'title' => 'Second',
                'pool' => [self::POOL[1]],
                'after' => $first->id,
                'opens_at' => '2026-10-12T08:00:00Z',
            ],
        )->assertRedirect();
        $other = Course::factory()->create(['instructor_id' => $this->instructor->id]);
        $other->trainees()->attach(User::factory(4)->create());
        $this->post(
            "/courses/{$this->course->id}/plan",
            ['to' => $other->id, 'starts_on' => '2027-01-11'],
        )->assertRedirect("/courses/$other->id/plan");
        $made = Assignment::query()->where('course_id', $other->id)->orderBy('id')->get();
        $this->assertSame(
            ['2027-01-11 08:00:00', '2027-01-18 08:00:00', '2027-01-18 08:00:00'],
            $made->map(fn ($a) => (string) $a->opens_at)->all(),
        );
        $this->assertSame('2027-01-15 16:00:00', (string) $made[0]->closes_at);
        $this->assertSame([null, $made[0]->id, $made[0]->id], $made->pluck('after_id')->all());
        $this->assertSame([4, 2, 2], $made->map(fn ($a) => $a->trainees()->count())->all());
        $this->assertNotSame($first->seed, $made[0]->seed);
        $this->get("/courses/$other->id/plan")->assertInertia(
            fn (AssertableInertia $page) => $page->component('Plan')->has('jobs', 2),
        );
        $this->post(
            "/jobs/$first->id/copy",
            ['course' => $other->id],
        )->assertRedirect('/jobs/'.Assignment::query()->max('id'));
        $this->post("/jobs/$first->id/copy", ['course' => Course::factory()->create()->id])->assertNotFound();
    }

    public function test_the_free_bench_is_for_ones_own_eyes_and_open_only_where_it_was_opened(): void
    {
        $model = $this->furnace();
        $practise = fn (User $user, string $fault = 'drawn') => $this->actingAs($user)->post(
            "/courses/{$this->course->id}/free/$model->id",
            ['fault' => $fault],
        );
        $practise($this->trainee)->assertNotFound();
        $this->actingAs($this->instructor)->post(
            "/models/$model->id/free",
            ['course' => $this->course->id, 'open' => true],
        )->assertRedirect();
        $this->post(
            "/models/$model->id/free",
            ['course' => Course::factory()->create()->id, 'open' => true],
        )->assertNotFound();
        $practise(User::factory()->create())->assertNotFound();
        $practise($this->trainee)->assertRedirect(
            '/attempts/'.Attempt::query()->where('user_id', $this->trainee->id)->sole()->id,
        );
        $attempt = Attempt::query()->where('user_id', $this->trainee->id)->sole();
        $this->assertSame(AssignmentKind::Free, $attempt->assignment->kind);
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $this->assertNotNull($attempt->fresh()->mark);
        $this->get("/attempts/$attempt->id/debrief")->assertOk();
        $csv = $this->actingAs($this->instructor)->get(
            "/courses/{$this->course->id}/marks.csv",
        )->assertOk()->getContent();
        $this->assertStringNotContainsString($this->trainee->name, $csv);
        $this->assertSame([], PreviewRules::last($this->instructor));
        $practise($this->trainee, 'healthy')->assertRedirect();
        $open = Attempt::query()->where('user_id', $this->trainee->id)->whereNull('handed_back_at')->sole();
        $this->actingAs($this->instructor)->get("/attempts/$open->id/look")->assertNotFound();
        $this->postJson("/attempts/$open->id/end")->assertNotFound();
        $this->assertSame('healthy', Assignment::query()->latest('id')->first()->fault);
        for ($i = 0; $i < 12; $i++) {
            $practise($this->trainee)->assertRedirect();
        }
        $this->assertSame(
            10,
            $this->trainee->assignments()->where('kind', AssignmentKind::Free)->count(),
            'the last are kept',
        );
        $attempt = Attempt::query()->where('user_id', $this->trainee->id)->latest('id')->first();
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $this->actingAs($this->instructor)->get('/')->assertInertia(
            fn (AssertableInertia $page) => $page->has('jobs', 0),
        );
        $this->get("/courses/{$this->course->id}/record")->assertInertia(
            fn (AssertableInertia $page) => $page->has('jobs', 0),
        );
        $this->actingAs($this->instructor)->get("/attempts/$attempt->id/debrief")->assertNotFound();
        $this->get("/jobs/$attempt->assignment_id")->assertNotFound();
    }

    public function test_a_demonstration_is_the_instructors_own(): void
    {
        $this->request(['kind' => 'demonstration', 'trainees' => []])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertNotFound();
        $this->actingAs($this->instructor)->post("/jobs/$job->id/attempt")->assertRedirect();
        $this->get("/courses/{$this->course->id}/record")->assertInertia(
            fn (AssertableInertia $page) => $page->has('jobs', 0),
        );
    }
}
