<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Http\Controllers\DebriefController;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Prediction;
use App\Models\Task;
use App\Work\Asked;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use OddSpark\Predicting\Answer;
use OddSpark\Verbs\Sheet as DebriefSheet;
use Tests\School;
use Tests\TestCase;

/** A sheet of readings that are said before they are taken: given, filled in, handed in, marked. */
class PredictionTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function sheet(
        AssignmentKind $kind = AssignmentKind::Practice,
        string $fault = 'healthy',
        array $window = [],
    ): Assignment {
        return app(AssignJob::class)->give(
            $this->instructor, $this->furnace(), $this->course, [$this->trainee->id, $this->classmate->id], 'A sheet',
            $fault, 'cold', $kind, 'It heats.', 7, window: $window, asked: new Asked(AssignmentWork::Predict, 6),
        );
    }

    private function begun(Assignment $job): Attempt
    {
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->sole();
    }

    private function say(Attempt $attempt, int $item, ?float $figure): TestResponse
    {
        return $this->actingAs($this->trainee)
            ->postJson("/attempts/$attempt->id/predictions", ['item' => $item, 'said' => $figure]);
    }

    /** What the meter shows of each reading. */
    private function shown(Assignment $job): array
    {
        return array_map(
            fn (array $a) => round(Answer::of($a)->judge(null)->shown->value, 3),
            $job->fresh()->sheet['asked'],
        );
    }

    public function test_a_sheet_is_given_from_the_form_and_worked_to_its_mark(): void
    {
        $appliance = $this->furnace();
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => $appliance->id, 'course' => $this->course->id, 'trainees' => [$this->trainee->id],
            'title' => 'Say it first', 'fault' => 'healthy', 'visit' => 'cold', 'kind' => 'practice',
            'complaint' => 'It heats.', 'work' => 'predict', 'many' => 6,
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Predict, $job->work);
        $attempt = $this->begun($job);
        $this->get("/attempts/$attempt->id")->assertRedirect("/attempts/$attempt->id/sheet");
        $this->get("/attempts/$attempt->id/sheet")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Predict')->has('rows', 6)->where('fault', null)->where('rows.0.said', null));
        foreach ($this->shown($job) as $i => $figure) {
            $this->say($attempt, $i, $figure)->assertOk()->assertJsonPath('said.right', true);
        }
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk()
            ->assertJsonPath('goes', "/attempts/$attempt->id/debrief");
        $mark = $attempt->refresh()->mark;
        $this->assertEquals(100, $mark['total']);
        $this->assertTrue($mark['passed']);
        $this->assertSame(['predicted', 'live'], array_column($mark['lines'], 'id'));
        $this->assertSame(6, $attempt->entries_count);
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->has('debrief.entries', 6)->where('job.work', 'predict'));
        $this->get("/jobs/$job->id/attempt");
        $this->actingAs($this->instructor)->get("/jobs/$job->id")->assertOk();
    }

    public function test_a_wrong_one_is_told_with_its_mistake_and_stands(): void
    {
        $job = $this->sheet();
        $attempt = $this->begun($job);
        $shown = $this->shown($job);
        $live = array_key_first(array_filter($shown, fn (float $v) => $v > 20));
        $said = $this->say($attempt, $live, 0)->assertOk()->assertJsonPath('said.right', false)->json('said');
        $this->assertNotSame('', $said['why']);
        $this->assertStringContainsString('V', $said['shown']);
        // once said it stands, however often something else is sent
        $this->say($attempt, $live, $shown[$live])->assertOk()->assertJsonPath('said', $said);
        $this->assertSame(1, Prediction::query()->count());
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertSame(0.0, (float) $mark['lines'][0]['share']);
        $this->assertLessThan(1.0, $mark['lines'][1]['share']);
        $this->assertFalse($mark['passed']);
        $this->say($attempt, 1, 0)->assertConflict();
    }

    public function test_what_the_meter_shows_reaches_nobody_who_has_not_said_it(): void
    {
        foreach ([AssignmentKind::Practice, AssignmentKind::Exam] as $kind) {
            $job = $this->sheet($kind, 'limit:stuck-open');
            $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt");
            $attempt = $job->attempts()->sole();
            $page = (string) $this->get("/attempts/$attempt->id/sheet")->getContent();
            foreach (['exact', 'mistaken', 'stray', 'judgement'] as $word) {
                $this->assertStringNotContainsString("&quot;$word&quot;", $page);
            }
            $this->assertStringContainsString('Limit: stuck open', $page, 'what is wrong is told: one goes by it');
            $said = $this->say($attempt, 0, 3.0)->assertOk()->json('said');
            $isTold = $kind === AssignmentKind::Practice;
            $this->assertSame([3, $isTold], [$said['figure'], $said['shown'] !== null]);
            $this->assertSame($isTold, $said['right'] !== null);
        }
    }

    public function test_hints_tell_more_each_time_and_cost_what_the_rules_say(): void
    {
        $job = $this->sheet();
        $attempt = $this->begun($job);
        $hint = fn (int $item): TestResponse => $this
            ->postJson("/attempts/$attempt->id/predictions/hint", ['item' => $item]);
        $told = [];
        foreach ([1, 2, 3, 3] as $taken) { // the last again once there is no more
            $told[] = $hint(0)->assertOk()->assertJsonPath('taken', $taken)->json('text');
        }
        $this->assertCount(3, array_unique($told));
        $hint(1)->assertOk();
        $this->get("/attempts/$attempt->id/sheet")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('rows.0.hints', array_slice($told, 0, 3))->where('rows.0.said', null)->where('rows.2.hints', []));
        foreach ($this->shown($job) as $i => $figure) {
            $this->say($attempt, $i, $figure)->assertOk();
        }
        $hint(2)->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertEquals(['where' => 2, 'circuit' => 1, 'reading' => 1], $mark['hints']['taken']);
        $this->assertEquals(100 - $mark['hints']['points'], $mark['total']);
        $this->assertGreaterThan(0, $mark['hints']['points']);

        $exam = $this->begun($this->sheet(AssignmentKind::Exam));
        $this->postJson("/attempts/$exam->id/predictions/hint", ['item' => 0])->assertUnprocessable();
    }

    public function test_it_is_printed_with_why_and_without_suspects(): void
    {
        $attempt = $this->begun($this->sheet());
        $this->say($attempt, 0, 7)->assertOk();
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $attempt->refresh();
        $html = DebriefSheet::html(
            ['title' => 'A sheet', 'who' => 'Somebody', 'model' => 'Furnace', 'fault' => 'nothing wrong', 'when' => ''],
            $attempt->mark + DebriefController::MARK,
            DebriefController::debrief($attempt),
        );
        foreach (['Predictions', 'Predicted and read', 'said 7', 'No answer.'] as $text) {
            $this->assertStringContainsString($text, $html);
        }
        foreach (['Suspects', 'more hours', 'trace was won'] as $text) {
            $this->assertStringNotContainsString($text, $html);
        }
    }

    public function test_the_wall_says_how_far_it_is_and_asks_for_no_suspects(): void
    {
        $attempt = $this->begun($this->sheet());
        $this->say($attempt, 0, 24)->assertOk();
        $this->actingAs($this->instructor)->getJson("/courses/{$this->course->id}/wall/curves")->assertOk()
            ->assertJsonPath('rows.0.at_bench', false)
            ->assertJsonPath('rows.0.last', 'Readings said: 1.');
        $this->assertSame(0, Task::query()->where('kind', 'curve')->count());
        $this->postJson("/attempts/$attempt->id/hint", ['grade' => 'where'])->assertUnprocessable();
        $this->get("/attempts/$attempt->id/look")->assertNotFound();
        $this->postJson("/attempts/$attempt->id/said", ['text' => 'Mind the moment.'])->assertOk();
        $this->actingAs($this->trainee)->postJson("/attempts/$attempt->id/hand", ['up' => true])->assertOk();
        $this->get("/attempts/$attempt->id/sheet")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->where('hand_up', true)->where('stopped', false));
        $this->getJson("/attempts/$attempt->id/said")->assertOk()->assertJsonPath('events.0.text', 'Mind the moment.');
        $this->actingAs($this->instructor);
        $this->postJson("/attempts/$attempt->id/end")->assertOk();
        $this->assertNotNull($attempt->refresh()->mark);
    }

    public function test_the_debrief_has_the_tape_of_what_was_asked_about(): void
    {
        $attempt = $this->begun($this->sheet());
        $this->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->has('past.perceived')->where('past.perceived', fn ($channels) => count($channels) > 3));
    }

    public function test_what_is_not_a_figure_is_told_and_changes_nothing(): void
    {
        $attempt = $this->begun($this->sheet());
        $this->say($attempt, 6, 24)->assertUnprocessable()->assertJsonPath('pointer', '/item');
        $this->say($attempt, 0, 2e6)->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/predictions", ['item' => 0, 'said' => 'much'])->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/predictions", ['said' => 3])->assertUnprocessable();
        $this->assertSame(0, Prediction::query()->count());
        $this->say($attempt, 0, null)->assertOk()->assertJsonPath('said.figure', null)
            ->assertJsonPath('said.right', false);
    }

    public function test_it_is_not_done_at_the_bench_nor_the_bench_on_a_sheet(): void
    {
        $attempt = $this->begun($this->sheet());
        $this->postJson("/attempts/$attempt->id/acts", ['id' => 'a', 'at_s' => 0, 'act' => 'look', 'part' => 'board'])
            ->assertUnprocessable();
        $bench = $this->begin($this->give());
        $this->postJson("/attempts/$bench->id/sheet")->assertUnprocessable();
        $this->assertTrue($bench->refresh()->isOpen());
        $this->get("/attempts/$bench->id/sheet")->assertRedirect("/attempts/$bench->id");
    }

    public function test_when_its_time_is_over_it_is_handed_in_as_it_stands(): void
    {
        $job = $this->sheet(window: ['minutes' => 10]);
        $attempt = $this->begun($job);
        $this->say($attempt, 0, $this->shown($job)[0])->assertOk();
        $this->travel(11)->minutes();
        $this->say($attempt, 1, 0)->assertConflict();
        $this->assertNotNull($attempt->refresh()->handed_back_at);
        $this->get("/attempts/$attempt->id/sheet")->assertRedirect("/attempts/$attempt->id/debrief");
        $this->assertEqualsWithDelta(1 / 6, $attempt->refresh()->mark['lines'][0]['share'], 0.001);
    }

    public function test_the_sheet_is_the_workers_alone_and_the_class_sees_the_mark(): void
    {
        $attempt = $this->begun($this->sheet());
        foreach ([$this->classmate, $this->instructor] as $other) {
            $this->actingAs($other)->get("/attempts/$attempt->id/sheet")->assertNotFound();
            $this->actingAs($other)->postJson("/attempts/$attempt->id/predictions", ['item' => 0, 'said' => 1])
                ->assertNotFound();
            $this->actingAs($other)->postJson("/attempts/$attempt->id/sheet")->assertNotFound();
        }
        $this->actingAs($this->trainee)->postJson("/attempts/$attempt->id/sheet")->assertOk();
        $this->actingAs($this->instructor)->get("/attempts/$attempt->id/debrief")->assertOk();
        $this->get("/courses/{$this->course->id}/record")->assertOk();
        $this->get("/attempts/$attempt->id/paper.json")->assertOk();
        $this->get("/jobs/{$attempt->assignment_id}/marks.csv")->assertOk();
    }
}
