<?php

namespace Tests\Feature;

use App\Jobs\RunTask;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Entry;
use App\Models\Mark;
use App\Models\MarkOverride;
use App\Models\RuleSet;
use App\Models\Task;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Queue;
use Inertia\Testing\AssertableInertia;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\School;
use Tests\TestCase;

/**
 * A mark from the hand-back on: kept, set otherwise with a reason, made again under other rules, taken away as a file.
 */
class MarkingTest extends TestCase
{
    use RefreshDatabase, School;

    private Attempt $attempt;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->attempt = $this->handedBack();
    }

    public function test_the_hand_back_queues_the_marking_and_the_page_waits_for_it(): void
    {
        Queue::fake();
        $this->actingAs($this->instructor);
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'hand_back', 1)->assertOk();
        $task = Task::find('mark', "attempt:$attempt->id");
        Queue::assertPushed(RunTask::class, fn (RunTask $job) => $job->task === $task->id);
        $this->get("/attempts/$attempt->id/debrief")->assertInertia(
            fn (AssertableInertia $page) => $page->component('Marking')->missing('fault'),
        );
        $this->getJson("/attempts/$attempt->id/marking")->assertJson(['marked' => false, 'share' => 0]);
        $task->update(['state' => 'running']);
        $task->fail('There is no room left.');
        $this->getJson("/attempts/$attempt->id/marking")->assertJsonFragment(['error' => 'There is no room left.']);
        $this->get("/attempts/$attempt->id/debrief")->assertInertia(
            fn (AssertableInertia $page) => $page->component('Marking'),
        ); // begun anew
        $this->getJson("/attempts/$attempt->id/marking")->assertJson(['marked' => false, 'error' => null]);
        (new RunTask($task->id))->handle();
        (new RunTask($task->id))->handle(); // a job that comes twice is done once
        $this->assertSame(1, $attempt->marks()->count());
        $this->getJson("/attempts/$attempt->id/marking")->assertJson(['marked' => true, 'error' => null]);
    }

    public function test_a_line_is_set_otherwise_with_a_reason_and_all_that_was_said_is_kept(): void
    {
        $before = $this->attempt->mark;
        $this->actingAs($this->instructor);
        $set = fn (array $with) => $this->post("/attempts/{$this->attempt->id}/overrides", $with);
        $set(['line' => 'trace', 'points' => 12, 'reason' => ''])->assertSessionHasErrors('reason');
        $set(['line' => 'trace', 'points' => 21, 'reason' => 'More than there is'])->assertSessionHasErrors('points');
        $set(['line' => 'luck', 'points' => 1, 'reason' => 'No such line'])->assertSessionHasErrors('line');
        $this->assertSame(0, MarkOverride::query()->count());
        $set(['line' => 'trace', 'points' => 12, 'reason' => 'He told me what he was after.'])->assertRedirect();
        $set(['line' => 'trace', 'points' => 15, 'reason' => 'On second thoughts.'])->assertRedirect();
        $mark = $this->attempt->refresh()->mark;
        $line = collect($mark['lines'])->firstWhere('id', 'trace');
        $this->assertEquals(15, $line['points']);
        $this->assertSame('On second thoughts.', $line['override']['reason']);
        $this->assertSame(
            ['He told me what he was after.', 'On second thoughts.'],
            array_column($line['history'], 'reason'),
        );
        $was = collect($before['lines'])->firstWhere('id', 'trace')['points'];
        $this->assertEquals($was, $line['override']['computed']);
        $this->assertEqualsWithDelta($before['total'] + 15 - $was, $mark['total'], 0.06);
        $set(['line' => 'trace', 'points' => null, 'reason' => 'The computed one was right.'])->assertRedirect();
        $mark = $this->attempt->refresh()->mark;
        $this->assertEquals($before['total'], $mark['total']);
        $this->assertCount(3, collect($mark['lines'])->firstWhere('id', 'trace')['history']);
        $this->assertEquals(
            $before['total'],
            Mark::query()->sole()->result['total'],
            'what was computed is never changed',
        );
    }

    public function test_a_trainee_sets_nothing_and_sees_why(): void
    {
        $this->actingAs($this->instructor)
            ->post("/attempts/{$this->attempt->id}/overrides", [
                'line' => 'basics',
                'points' => 5,
                'reason' => 'Said aloud.',
            ])
            ->assertRedirect();
        $this->actingAs($this->trainee)
            ->post("/attempts/{$this->attempt->id}/overrides", ['line' => 'basics', 'points' => 10, 'reason' => 'More'])
            ->assertNotFound();
        $this->get("/attempts/{$this->attempt->id}/debrief")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('judges', false)
                ->where('mark.lines.1.override.reason', 'Said aloud.')
                ->where('fault.parts', ['limit'])
                ->has('board.parts', 32)
                ->has('debrief.won'),
        );
    }

    public function test_a_job_is_marked_again_under_other_rules_and_both_are_shown(): void
    {
        $first = $this->attempt->mark;
        $journeyman = RuleSet::query()->where('name', 'journeyman')->sole();
        $this->actingAs($this->instructor)
            ->postJson("/jobs/{$this->attempt->assignment_id}/marks", ['rules' => 999])
            ->assertUnprocessable();
        $this->postJson("/jobs/{$this->attempt->assignment_id}/marks", ['rules' => $journeyman->id])
            ->assertOk()
            ->assertJson(['of' => 1, 'done' => 1, 'share' => 1]);
        $this->assertEquals($first, $this->attempt->refresh()->mark, 'the first one stands');
        $this->get("/attempts/{$this->attempt->id}/debrief")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->has('others', 1)
                ->where('others.0.rules.title', 'Journeyman')
                ->where('mark.rules.title', 'First year'),
        );
        $this->get("/jobs/{$this->attempt->assignment_id}")->assertInertia(
            fn (AssertableInertia $page) => $page->has('rows.0.others', 1)->has('sets', 3),
        );
    }

    public function test_a_mark_keeps_the_rules_and_an_old_attempt_keeps_its_mark_under_a_changed_engine(): void
    {
        $mark = $this->attempt->mark;
        $this->attempt->update(['engine' => Assignment::ENGINE - 1]);
        // the lamp
        $entry = Entry::query()->where('attempt_id', $this->attempt->id)->orderBy('id')->skip(3)->firstOrFail();
        $outcome = $entry->outcome;
        $outcome['seen']['board lamp'] = '3 flashes';
        $entry->update(['outcome' => $outcome]);
        $this->actingAs($this->instructor)
            ->getJson("/attempts/{$this->attempt->id}/drift")
            ->assertOk()
            ->assertJsonCount(1, 'apart')
            ->assertJsonPath('apart.0.entry', 3);
        $this->get("/attempts/{$this->attempt->id}/debrief")->assertInertia(
            fn (AssertableInertia $page) => $page->where('engine', [
                'then' => Assignment::ENGINE - 1,
                'now' => Assignment::ENGINE,
            ]),
        );
        $this->assertEquals($mark, $this->attempt->refresh()->mark);
    }

    public function test_marks_are_taken_away_as_a_list_that_a_spreadsheet_takes_for_no_formula(): void
    {
        $this->attempt->assignment()->first()->update(['title' => '=HYPERLINK("x")']);
        $this->actingAs($this->instructor);
        foreach (
            ["/jobs/{$this->attempt->assignment_id}/marks.csv", "/courses/{$this->course->id}/marks.csv"] as $url
        ) {
            $csv = $this->get($url)->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8')->getContent();
            $rows = array_map(fn (string $line) => str_getcsv($line, ',', '"', ''), explode("\r\n", trim($csv)));
            $this->assertCount(2, $rows);
            $row = array_combine($rows[0], $rows[1]);
            $this->assertSame("'=HYPERLINK(\"x\")", $row['job']);
            $this->assertEquals($this->attempt->mark['total'], $row['total']);
            $this->assertEquals(8, $row['safety'], 'the door switch was left held');
            $this->assertSame('first-year', $row['house rules']);
        }
    }

    public function test_an_attempt_is_given_as_statements_that_the_specification_takes(): void
    {
        $statements = json_decode(
            $this->actingAs($this->trainee)
                ->getJson("/attempts/{$this->attempt->id}/xapi")
                ->assertOk()
                ->getContent(),
        );
        $this->assertCount(2 + $this->attempt->entries()->count(), $statements);
        $schema = json_decode((string) file_get_contents(__DIR__.'/xapi-statement.schema.json'));
        foreach ($statements as $statement) {
            $result = (new Validator())->validate($statement, $schema);
            $this->assertTrue(
                $result->isValid(),
                json_encode($result->error() === null ? [] : (new ErrorFormatter())->format($result->error())),
            );
        }
        $this->assertSame(count($statements), count(array_unique(array_column($statements, 'id'))));
        $last = end($statements);
        $this->assertStringEndsWith($this->attempt->mark['passed'] ? '/passed' : '/failed', $last->verb->id);
        $this->assertEqualsWithDelta($this->attempt->mark['total'] / 100, $last->result->score->scaled, 1e-9);
        $again = json_decode($this->getJson("/attempts/{$this->attempt->id}/xapi")->getContent());
        $this->assertSame(array_column($statements, 'id'), array_column($again, 'id'));
        unset($statements[0]->verb); // the schema is one that can fail
        $this->assertFalse((new Validator())->validate($statements[0], $schema)->isValid());
    }

    public function test_the_sheet_is_a_pdf(): void
    {
        $pdf = $this->actingAs($this->trainee)
            ->get("/attempts/{$this->attempt->id}/debrief.pdf")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent();
        $this->assertStringStartsWith('%PDF-', $pdf);
        $this->assertGreaterThan(5000, strlen($pdf));
    }

    public function test_hints_are_for_practice_and_come_of_what_was_seen(): void
    {
        $job = $this->give('w20:open');
        $attempt = $this->begin($job);
        $this->act($attempt, 'look', 1, ['part' => 'board'])->assertOk();
        $hint = $this->act($attempt, 'hint', 2, ['grade' => 'circuit'])->assertOk()->json('entry.seen.hint');
        $this->assertStringContainsString('Most of what is left', $hint);
        $this->assertStringNotContainsStringIgnoringCase('yellow', $hint);
        $this->act($attempt, 'hand_back', 3)->assertOk();
        $this->assertSame(['circuit' => 1], $attempt->refresh()->mark['hints']['taken']);
        $exam = $this->begin($this->give('w20:open', AssignmentKind::Exam));
        $this->act($exam, 'hint', 1, ['grade' => 'where'])
            ->assertUnprocessable()
            ->assertJsonPath('message', '/act: There are no hints in an examination.');
        $this->get("/attempts/$exam->id")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('job.rules.hints', null)
                ->where('job.rules.title', 'First year'),
        );
    }

    private function handedBack(): Attempt
    {
        $attempt = $this->begin($this->give());
        foreach (['thermostat', 'breaker', 'cock', 'board'] as $i => $part) {
            $this->act($attempt, 'look', 1 + $i, ['part' => $part])->assertOk();
        }
        $this->act($attempt, 'door', 6, ['to' => 'open'])->assertOk();
        $this->act($attempt, 'hold', 7, ['to' => 'held'])->assertOk();
        $this->act($attempt, 'leads', 16, ['red' => 'limit.a', 'black' => 'limit.b'])->assertOk();
        $this->act($attempt, 'name', 18, ['fault' => 'limit:stuck-open'])->assertOk();
        $this->act($attempt, 'hand_back', 20)->assertOk();

        return $attempt->refresh();
    }
}
