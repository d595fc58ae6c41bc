<?php

namespace Tests\Feature;

use App\Building\DraftEditor;
use App\Models\Course;
use App\Models\JobTemplate;
use App\Models\LabReading;
use App\Models\Role;
use App\Models\Share;
use App\Models\Task;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use OddSpark\Appliance\Library;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\School;
use Tests\TestCase;

/**
 * Every route by everybody: each is tried as it is in the router, on what belongs to one instructor, by him and by all
 * others there are. Who may is said here once, by the situation; whatever else gets in is a hole.
 */
class MatrixTest extends TestCase
{
    use RefreshDatabase, School;
    use WhoMay;

    /** Who there is. The class, job, model and attempt that are tried are the leader's; "other" has ones of his own. */
    private const ALL = [
        'guest', 'administrator', 'leader', 'colleague', 'assessor', 'lent', 'reader', 'other', 'elsewhere marks',
        'worker', 'classmate', 'outsider', 'closed',
    ];

    private const SIGNED_IN = [
        'administrator', 'leader', 'colleague', 'assessor', 'lent', 'reader', 'other', 'elsewhere marks', 'worker',
        'classmate', 'outsider',
    ];

    private const STAFF = [
        'administrator',
        'leader',
        'colleague',
        'assessor',
        'lent',
        'reader',
        'other',
        'elsewhere marks',
    ];

    private const TEACH = ['administrator', 'leader', 'colleague', 'lent', 'reader', 'other'];

    private const TRAINEES = ['worker', 'classmate', 'outsider'];

    /** Who teaches in the class. */
    private const IN_CLASS = ['leader', 'colleague'];

    private const READS = ['leader', 'colleague', 'assessor'];

    private const DRAFT_READ = ['leader', 'lent', 'reader'];

    private const DRAFT_EDIT = ['leader', 'lent'];

    /** Answers that say no: not signed in, not for him, not there. */
    private const NO = [401, 403, 404];

    /**
     * Asks to which a "no" is the right answer even for whoever may: there is no such session, no codes to make anew.
     */
    private const NOTHING_THERE = [
        'POST courses/{course}/staff',
        'DELETE courses/{course}/staff/{user}',
        'POST school/courses/{course}/lead',
        'POST shares',
        'POST courses/{course}/free/{appliance}',
        'POST attempts/{attempt}/contest/finish',
        'POST attempts/{attempt}/next',
        'GET attempts/{attempt}/waiting',
        'GET attempts/{attempt}/xapi',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    public function test_every_route_of_the_router_is_in_the_matrix(): void
    {
        $rows = [...array_keys(self::may()), ...array_keys(self::mayOfAttempt())];
        $all = array_map(self::named(...), iterator_to_array(Route::getRoutes(), false));
        $this->assertSame([], array_values(array_diff($all, $rows)), 'nobody has said who may');
        $this->assertSame([], array_values(array_diff($rows, $all)), 'no longer there');
    }

    /** @return iterable<string, array{string}> */
    public static function states(): iterable
    {
        yield 'while the attempt is open' => ['open'];
        yield 'once it is finished' => ['finished'];
    }

    #[DataProvider('states')]
    public function test_everybody_gets_what_is_his_and_nothing_else(string $state): void
    {
        [$people, $ids] = $this->situation($state);
        $rows = self::may() + array_map(fn (array $row) => $row[$state], self::mayOfAttempt());
        $holes = $shut = $broken = [];
        foreach (Route::getRoutes() as $route) {
            $name = self::named($route);
            if ($state === 'finished' && ! isset(self::mayOfAttempt()[$name])) {
                continue; // who may does not hang on the attempt
            }
            foreach (self::ALL as $who) {
                $status = $this->tryAs($people[$who], $route->methods()[0], strtr('/'.ltrim($route->uri(), '/'), $ids));
                if ($status >= 500) {
                    $broken[] = "$name: $who ($status)";
                }
                $isNo = in_array($status, self::NO, true) || ($who === 'guest' && $status === 302);
                if (! in_array($who, $rows[$name], true)) {
                    if (! $isNo) {
                        $holes[] = "$name: $who ($status)";
                    }
                } elseif ($isNo && $status !== 302 && ! in_array($name, self::NOTHING_THERE, true)) {
                    $shut[] = "$name: $who ($status)";
                }
            }
        }
        $this->assertSame([], $holes, 'somebody gets in who may not');
        $this->assertSame([], $shut, 'somebody is kept out who may');
        $this->assertSame([], $broken, 'an error of ours');
    }

    private static function named(LaravelRoute $route): string
    {
        return $route->methods()[0].' '.ltrim($route->uri(), '/');
    }

    /** The status that somebody gets; what it did is taken back. */
    private function tryAs(?User $who, string $method, string $uri): int
    {
        $this->flushSession();
        auth()->forgetGuards();
        if ($who !== null) {
            $this->actingAs($who->fresh())->withSession(['confirmed_at' => time()]);
        }
        DB::beginTransaction();
        try {
            return $this->json($method, $uri)->status();
        } finally {
            DB::rollBack();
        }
    }

    /**
     * @return array{array<string, User|null>, array<string, string>} the people, and what stands for a route's
     *     parameters
     */
    private function situation(string $state): array
    {
        $people = [
            'guest' => null,
            'administrator' => User::factory()->create(['role' => Role::Administrator]),
            'leader' => $this->instructor,
            'colleague' => User::factory()->instructor()->create(),
            'assessor' => User::factory()->create(['role' => Role::Assessor]),
            'lent' => User::factory()->instructor()->create(),
            'reader' => User::factory()->instructor()->create(),
            'other' => User::factory()->instructor()->create(),
            'elsewhere marks' => User::factory()->create(['role' => Role::Assessor]),
            'worker' => $this->trainee,
            'classmate' => $this->classmate,
            'outsider' => User::factory()->create(),
            'closed' => User::factory()->create(['closed_at' => now()]),
        ];
        $this->course->staff()->attach([
            $people['colleague']->id => ['part' => 'teaches'], $people['assessor']->id => ['part' => 'marks'],
        ]);
        $elsewhere = Course::factory()->create(['instructor_id' => $people['other']->id]);
        $elsewhere->trainees()->attach($people['outsider']->id);
        $elsewhere->staff()->attach([
            $people['elsewhere marks']->id => ['part' => 'marks'], $people['reader']->id => ['part' => 'teaches'],
        ]);
        $job = $this->give();
        $draft = app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
        $appliance = app(DraftEditor::class)->publish($draft);
        $lends = Course::factory()->create(['instructor_id' => $people['lent']->id]);
        Share::settle('model', $draft->name, $lends->id, Share::EDIT);
        Share::settle('model', $draft->name, $elsewhere->id, Share::READ);
        // of the class "elsewhere", "other" leads and so reads too
        $elsewhere->update(['instructor_id' => User::factory()->instructor()->create()->id]);
        $others = Course::factory()->create(['instructor_id' => $people['other']->id]);
        $others->trainees()->attach($people['outsider']->id);
        $attempt = $this->begin($job);
        if ($state === 'finished') {
            $this->act($attempt, 'hand_back', 0)->assertOk();
        }
        $reading = LabReading::query()->create([
            'appliance_id' => $appliance->id, 'user_id' => $this->instructor->id, 'unit' => 'bay 2', 'date' => '2026-11-02',
            'visit' => 'cold', 'at_s' => 5, 'mode' => 'vac', 'red' => 'panel.L', 'black' => 'panel.N', 'value' => 119,
        ]);
        $template = JobTemplate::query()->create([
            'appliance_id' => $appliance->id, 'user_id' => $this->instructor->id, 'name' => 'x', 'title' => 'x', 'job' => [
                'fault' => 'healthy', 'pool' => [], 'visit' => 'cold', 'kind' => 'practice', 'complaint' => 'x', 'rules' => 'first-year',
                'low_battery' => false, 'worn_leads' => false, 'stops' => false, 'minutes' => null,
                'work' => 'trace', 'many' => 0, 'wires' => 'all', 'shown' => 'drawing',
            ],
        ]);
        $task = Task::want($this->instructor, 'give', 'matrix', ['title' => 'x', 'back' => '/', 'job' => []]);

        return [$people, [
            '{appliance}' => (string) $appliance->id, '{assignment}' => (string) $job->id,
            '{attempt}' => (string) $attempt->id, '{course}' => (string) $this->course->id,
            '{draft}' => (string) $draft->id, '{task}' => (string) $task->id, '{user}' => (string) $this->trainee->id,
            '{what}' => 'model.json', '{token}' => 'nobody', '{key}' => 'none', '{sum}' => 'divider',
            '{reading}' => (string) $reading->id, '{template}' => (string) $template->id,
        ]];
    }
}
