<?php

namespace Tests\Feature;

use App\Building\DraftEditor;
use App\Models\Attempt;
use App\Models\Draft;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Route;
use OddSpark\Appliance\Library;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\School;
use Tests\TestCase;

/** Every endpoint, and who may not use it. */
class AccessTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    public function test_a_guest_gets_nothing_but_the_sign_in(): void
    {
        $open = ['login', 'login/second', 'forgot', 'up', 'join', 'link/{token}'];
        $checked = 0;
        foreach (Route::getRoutes() as $route) {
            if (in_array($route->uri(), $open, true)) {
                continue;
            }
            $method = $route->methods()[0];
            $uri = preg_replace('/\{\w+\}/', '1', $route->uri());
            $response = $this->json($method, "/$uri");
            $this->assertSame(401, $response->status(), "$method $uri");
            $checked++;
        }
        $this->assertGreaterThan(10, $checked);
    }

    /** What each is, its method and its address. */
    private const INSTRUCTORS_ONLY = [
        'models' => ['GET', '/models'],
        'model' => ['GET', '/models/{appliance}'],
        'preview' => ['GET', '/models/{appliance}/preview?fault=healthy&visit=cold'],
        'analysis' => ['GET', '/models/{appliance}/analysis?visit=cold'],
        'give' => ['POST', '/jobs'],
        'job' => ['GET', '/jobs/{assignment}'],
        'marks of a job' => ['GET', '/jobs/{assignment}/marks'],
        'mark a job again' => ['POST', '/jobs/{assignment}/marks'],
        'marks of a job as a file' => ['GET', '/jobs/{assignment}/marks.csv'],
        'marks of a class as a file' => ['GET', '/courses/{course}/marks.csv'],
        'models being built' => ['GET', '/drafts'],
        'begin a model' => ['POST', '/drafts'],
        'the builder' => ['GET', '/drafts/{draft}'],
        'kinds for a model' => ['GET', '/drafts/{draft}/kinds'],
        'edit a model' => ['POST', '/drafts/{draft}/edits'],
        'undo' => ['POST', '/drafts/{draft}/go'],
        'its history' => ['GET', '/drafts/{draft}/history'],
        'what differs' => ['GET', '/drafts/{draft}/difference?from=0&to=0'],
        'go back' => ['POST', '/drafts/{draft}/restore'],
        'name a version' => ['POST', '/drafts/{draft}/label'],
        'its checks' => ['GET', '/drafts/{draft}/checks'],
        'its ladder' => ['GET', '/drafts/{draft}/ladder'],
        'its healthy run' => ['GET', '/drafts/{draft}/run'],
        'a moment of it' => ['GET', '/drafts/{draft}/moment?at_s=1'],
        'why' => ['GET', '/drafts/{draft}/why?at_s=1&of=burners.fire'],
        'its faults' => ['GET', '/drafts/{draft}/faults'],
        'its expected readings' => ['GET', '/drafts/{draft}/readings'],
        'its safeties' => ['GET', '/drafts/{draft}/safeties'],
        'its files' => ['GET', '/drafts/{draft}/files/{what}'],
        'own kinds' => ['GET', '/kinds'],
        'keep a kind' => ['POST', '/kinds'],
        'record of a class' => ['GET', '/courses/{course}/record'],
        'people' => ['GET', '/people'],
        'a class' => ['POST', '/courses'],
        'its name' => ['POST', '/courses/{course}'],
        'its code' => ['POST', '/courses/{course}/code'],
        'a list looked over' => ['POST', '/courses/{course}/roster/preview'],
        'a list' => ['POST', '/courses/{course}/roster'],
        'a list taken back' => ['POST', '/courses/{course}/roster/undo'],
        'house rules' => ['GET', '/rules'],
        'save house rules' => ['POST', '/rules'],
        'try house rules' => ['POST', '/rules/preview'],
    ];

    public function test_a_trainee_may_neither_look_in_nor_put_it_among_the_models_nor_throw_it_away(): void
    {
        $draft = $this->draft();
        $this->actingAs($this->trainee)->postJson("/drafts/$draft->id/presence")->assertNotFound();
        $this->postJson("/drafts/$draft->id/publish")->assertNotFound();
        $this->deleteJson("/drafts/$draft->id")->assertNotFound();
        $this->actingAs(User::factory()->instructor()->create())->deleteJson("/drafts/$draft->id")->assertNotFound();
        $this->actingAs($this->instructor)->postJson("/drafts/$draft->id/presence")->assertOk();
    }

    private function draft(): Draft
    {
        return app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
    }

    public function test_a_trainee_may_not(): void
    {
        $ids = [
            '{appliance}' => $this->furnace()->id,
            '{assignment}' => $this->give()->id,
            '{course}' => $this->course->id,
            '{draft}' => $this->draft()->id,
            '{what}' => 'model.json',
        ];
        foreach (self::INSTRUCTORS_ONLY as $what => [$method, $uri]) {
            $uri = strtr($uri, $ids);
            $this->actingAs($this->trainee);
            $this->assertSame(404, $this->json($method, $uri)->status(), $what);
            $this->actingAs($this->instructor);
            $this->assertSame($method === 'POST' ? 422 : 200, $this->json($method, $uri)->status(), $what);
        }
    }

    public function test_another_instructor_sees_neither_job_nor_debrief(): void
    {
        $job = $this->give();
        $attempt = $this->begin($job);
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $other = User::factory()->instructor()->create();
        $this->actingAs($other)->get("/jobs/$job->id")->assertNotFound();
        $this->actingAs($other)->get("/attempts/$attempt->id/debrief")->assertNotFound();
        $this->actingAs($other)->post("/jobs/$job->id/attempt")->assertNotFound();
        foreach (['debrief.pdf', 'drift', 'marking', 'xapi'] as $what) {
            $this->getJson("/attempts/$attempt->id/$what")->assertNotFound();
        }
        $this->postJson("/attempts/$attempt->id/overrides", [
            'line' => 'trace',
            'points' => 1,
            'reason' => 'so',
        ])->assertNotFound();
        $this->getJson("/jobs/$job->id/marks")->assertNotFound();
        $this->postJson("/jobs/$job->id/marks", ['rules' => 1])->assertNotFound();
        $this->get("/jobs/$job->id/marks.csv")->assertNotFound();
        $this->get("/courses/{$this->course->id}/marks.csv")->assertNotFound();
        $this->actingAs($this->instructor)->get("/attempts/$attempt->id/debrief")->assertOk();
    }

    /** @return iterable<string, array{string, string}> */
    public static function ownOnly(): iterable
    {
        yield 'bench' => ['GET', '/attempts/{attempt}'];
        yield 'act' => ['POST', '/attempts/{attempt}/acts'];
        yield 'play' => ['POST', '/attempts/{attempt}/play'];
        yield 'next' => ['POST', '/attempts/{attempt}/next'];
        yield 'waiting for a hint' => ['GET', '/attempts/{attempt}/waiting'];
        yield 'debrief' => ['GET', '/attempts/{attempt}/debrief'];
        yield 'debrief on paper' => ['GET', '/attempts/{attempt}/debrief.pdf'];
        yield 'drift' => ['GET', '/attempts/{attempt}/drift'];
        yield 'marking' => ['GET', '/attempts/{attempt}/marking'];
        yield 'statements' => ['GET', '/attempts/{attempt}/xapi'];
        yield 'override' => ['POST', '/attempts/{attempt}/overrides'];
    }

    #[DataProvider('ownOnly')]
    public function test_nobody_works_at_the_bench_of_another(string $method, string $uri): void
    {
        $attempt = $this->begin($this->give());
        $uri = str_replace('{attempt}', (string) $attempt->id, $uri);
        foreach ([$this->classmate, $this->instructor] as $other) {
            $this->actingAs($other)
                ->json($method, $uri, ['id' => 'x', 'act' => 'wait', 'at_s' => 0, 'to_s' => 1])
                ->assertNotFound();
        }
        $this->assertSame(0, $attempt->entries()->count());
    }

    public function test_a_job_is_only_for_those_it_was_given_to(): void
    {
        $job = $this->give();
        $this->actingAs($this->classmate)->post("/jobs/$job->id/attempt")->assertNotFound();
        $this->assertSame(0, Attempt::query()->count());
        $this->actingAs($this->instructor)->post("/jobs/$job->id/attempt")->assertRedirect();
    }

    public function test_the_debrief_stays_shut_until_the_appliance_is_handed_back(): void
    {
        $attempt = $this->begin($this->give());
        $this->get("/attempts/$attempt->id/debrief")->assertNotFound();
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertSee('Limit: stuck open');
        $this->get("/attempts/$attempt->id")->assertRedirect("/attempts/$attempt->id/debrief");
    }

    public function test_signing_in_and_out(): void
    {
        $user = User::factory()->create(['email' => 'someone@demo.example']);
        $this->post('/login', ['email' => 'someone@demo.example', 'password' => 'wrong'])->assertSessionHasErrors(
            'email',
        );
        $this->assertGuest();
        $this->post('/login', ['email' => 'someone@demo.example', 'password' => 'copper-lamp'])->assertRedirect('/');
        $this->assertAuthenticatedAs($user);
        $this->post('/logout')->assertRedirect('/login');
        $this->assertGuest();
    }
}
