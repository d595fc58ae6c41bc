<?php

namespace Tests\Feature;

use App\Http\Reader;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Mark;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** An attempt over HTTP: acts, time, repetition, and what is refused. */
class WorkbenchTest extends TestCase
{
    use RefreshDatabase, School;

    private Attempt $attempt;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->attempt = $this->begin($this->give());
    }

    public function test_the_contract_knows_every_instrument_that_there_is(): void
    {
        $contract = json_decode((string) file_get_contents(base_path('contract/replies.json')), true);
        $this->assertEqualsCanonicalizing(
            array_keys(\OddSpark\Instruments\Bag::atTaps()),
            $contract['$defs']['AtTap']['enum'],
        );
    }

    public function test_a_reading_comes_back_with_its_moment_and_is_kept_as_fact(): void
    {
        $this->act($this->attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $this->act($this->attempt, 'hold', 2, ['to' => 'held'])->assertOk();
        $this->postJson("/attempts/{$this->attempt->id}/play", ['to_s' => 8])->assertOk()->assertJsonPath('now_s', 8);
        $reply = $this->act($this->attempt, 'leads', 9.5, ['red' => 'board.R', 'black' => 'board.C'])->assertOk();
        $this->assertMatchesRegularExpression('/^2[5-7]\.\d\d V AC$/', $reply->json('entry.reading.text'));
        $this->assertSame(9.5, $reply->json('entry.at_s'));
        $this->assertSame(
            'Furnace control R to Furnace control C: '.$reply->json('entry.reading.text'),
            $reply->json('entry.text'),
        );
        $this->assertEquals(19.5, $reply->json('until_s'));
        $this->get("/attempts/{$this->attempt->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Bench')->has('log', 3)->where('log.2.reading.text', $reply->json('entry.reading.text'))
            ->where('now.now_s', 9.5)->where('now.scene.red', 'board.R')->has('past.perceived'));
    }

    public function test_the_log_is_read_in_the_language_of_the_reader_and_kept_in_one(): void
    {
        $act = fn (string $name, int $at, array $with) => $this->act($this->attempt, $name, $at, $with)->assertOk();
        $act('feel', 1, ['part' => 'breaker']);
        $act('dial', 2, ['mode' => 'ohm']);
        $american = $this->act($this->attempt, 'look', 3, ['part' => 'limit'])->assertOk()->json('entry');
        $this->assertStringContainsString('not done', $american['text']);
        $this->withCredentials()->withUnencryptedCookie(Reader::COOKIE, 'es');
        $spanish = $this->act($this->attempt, 'look', 4, ['part' => 'limit'])->assertOk()->json('entry');
        $this->assertSame('Mirado Limit: no se hizo. Eso está detrás de la puerta.', $spanish['text']);
        $this->assertSame('Eso está detrás de la puerta.', $spanish['refused']);
        $read = fn (string $text) => $this->get("/attempts/{$this->attempt->id}")
            ->assertInertia(fn (AssertableInertia $page) => $page->where('log.1.text', $text));
        $read('Medidor en ohmios');
        $this->assertSame(
            ['look', 'look'],
            [$this->attempt->entries()->get()[2]->act['act'], $this->attempt->entries()->get()[3]->act['act']],
        );
        $kept = $this->attempt->entries()->pluck('sentence')->all();
        $this->assertSame($kept[2], $kept[3], 'what is kept, and marked, is in one language');
        $this->withUnencryptedCookie(Reader::COOKIE, 'xx');
        $read('Meter to ohms');
    }

    public function test_an_act_sent_twice_is_done_once(): void
    {
        $first = $this->act($this->attempt, 'look', 1, ['part' => 'breaker'], 'same')->assertOk();
        $again = $this->act($this->attempt, 'look', 1, ['part' => 'breaker'], 'same')->assertOk();
        $this->assertSame($first->json('entry'), $again->json('entry'));
        $this->assertSame(1, $this->attempt->entries()->count());
        $this->assertSame($first->json('scene.labour'), $again->json('scene.labour'));
    }

    public function test_a_window_left_behind_is_told_and_changes_nothing(): void
    {
        $this->act($this->attempt, 'look', 6, ['part' => 'breaker'])->assertOk();
        $this->act($this->attempt, 'look', 3, ['part' => 'cock'])
            ->assertConflict()
            ->assertJsonPath('message', fn (string $m) => str_contains($m, 'further on'));
        $this->act($this->attempt, 'look', 40, ['part' => 'cock'])
            ->assertConflict()
            ->assertJsonPath('message', fn (string $m) => str_contains($m, 'not been played'));
        $this->assertSame(1, $this->attempt->entries()->count());
        $this->postJson("/attempts/{$this->attempt->id}/play", ['to_s' => 2])->assertOk()->assertJsonPath('now_s', 6);
    }

    public function test_an_attempt_of_an_older_computation_ends_with_a_sentence_and_is_given_anew(): void
    {
        $this->act($this->attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $this->act($this->attempt, 'look', 6, ['part' => 'igniter'])->assertOk();
        $this->attempt->refresh()->update(['engine' => Assignment::ENGINE - 1]);

        $this->act($this->attempt, 'look', 7, ['part' => 'rod'])
            ->assertConflict()
            ->assertJsonPath('message', fn (string $m) => str_contains($m, 'given to you anew'));
        $this->postJson("/attempts/{$this->attempt->id}/play", ['to_s' => 8])->assertConflict();
        $this->assertSame(2, $this->attempt->entries()->count(), 'nothing is lost before it is opened');

        $page = fn () => $this->get("/attempts/{$this->attempt->id}");
        $page()->assertInertia(fn (AssertableInertia $p) => $p
            ->has('log', 0)->where('now.now_s', 0)->where('now.scene.open', [])
            ->where('told', fn (string $told) => str_contains($told, 'is kept, and is not marked')));
        $kept = $this->attempt->refresh()->set_aside;
        $this->assertSame([Assignment::ENGINE - 1, ['door', 'look']], [
            $kept[0]['engine'], array_column(array_column($kept[0]['entries'], 'act'), 'act'),
        ]);

        $this->act($this->attempt, 'look', 1, ['part' => 'breaker'])->assertOk();
        $page()->assertInertia(fn (AssertableInertia $p) => $p->has('log', 1)->where('told', null));
    }

    public function test_what_was_handed_back_under_an_older_computation_stays_as_it_is(): void
    {
        $this->act($this->attempt, 'hand_back', 5)->assertOk();
        $this->attempt->refresh()->update(['engine' => Assignment::ENGINE - 1]);

        $this->get("/attempts/{$this->attempt->id}")->assertRedirect("/attempts/{$this->attempt->id}/debrief");
        $this->assertSame(1, $this->attempt->entries()->count());
        $this->assertNull($this->attempt->refresh()->set_aside);
    }

    public function test_bad_acts_say_where(): void
    {
        $this->act($this->attempt, 'juggle', 1)->assertUnprocessable()->assertJsonPath('pointer', '/act');
        $this->act($this->attempt, 'look', 1)->assertUnprocessable()->assertJsonPath('pointer', '/part');
        $this->act($this->attempt, 'look', 1, ['part' => 'gizmo'])
            ->assertUnprocessable()
            ->assertJsonPath('message', '/part: There is no part called "gizmo" on this appliance.');
        $this->act($this->attempt, 'gauge', 1, ['tap' => 'gizmo'])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/tap');
        $this->act($this->attempt, 'leads', 1, ['red' => 'limit.zz', 'black' => null])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/red');
        $this->act($this->attempt, 'lift', 1, ['end' => 'w01.c'])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/end');
        $this->act($this->attempt, 'clamp', 1, ['wires' => ['nope']])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/wires');
        $this->postJson("/attempts/{$this->attempt->id}/acts", ['act' => 'wait', 'at_s' => 1])->assertUnprocessable();
        $this->postJson("/attempts/{$this->attempt->id}/play", ['to_s' => 'soon'])->assertUnprocessable();
    }

    public function test_a_jumper_that_somebody_left_is_drawn_from_the_first_look_on(): void
    {
        $attempt = $this->begin($this->give('limit:bridged'));
        $this->act($attempt, 'door', 1, ['to' => 'open'])->assertJsonPath('scene.jumpers', []);
        $this->act($attempt, 'look', 2, ['part' => 'rollout-l'])->assertJsonPath('scene.jumpers', []);
        $this->act($attempt, 'look', 3, ['part' => 'limit'])->assertJsonPath('scene.jumpers', [['limit.a', 'limit.b']]);
        $this->act($attempt, 'unjump', 4, ['from' => 'limit.a', 'to' => 'limit.b'])->assertJsonPath(
            'scene.jumpers',
            [],
        );
    }

    public function test_house_rules_that_stop_what_would_hurt_are_of_the_job(): void
    {
        $job = $this->give();
        $job->update(['rules' => ['stops' => ['safety-jumpered']] + $job->rules]);
        $attempt = $this->begin($job);
        $this->act($attempt, 'door', 1, ['to' => 'open'])->assertOk();
        $reply = $this->act($attempt, 'jump', 2, ['from' => 'limit.a', 'to' => 'limit.b'])->assertOk();
        $this->assertStringStartsWith('The house rules stop this.', $reply->json('entry.refused'));
        $this->assertSame([], $reply->json('scene.jumpers'));
    }

    public function test_on_to_what_happens_next(): void
    {
        $job = $this->give('healthy');
        $attempt = $this->begin($job);
        $this->act($attempt, 'look', 0, ['part' => 'board'])->assertOk()->assertJsonPath('scene.eyes', 'board');
        $reply = $this->postJson("/attempts/$attempt->id/next")->assertOk();
        $this->assertGreaterThan(10, $reply->json('now_s'), 'beyond what had been known');
        $this->assertSame('runs', collect($reply->json('ahead.perceived')['blower.sound'])->first()['value']);
        $this->assertNotEmpty($reply->json('passed.perceived')['board.lamp'], 'what passed is told');
    }

    public function test_an_examination_looks_two_seconds_ahead_whatever_the_fault(): void
    {
        foreach (['igniter:cracked', 'healthy'] as $fault) {
            $attempt = $this->begin($this->give($fault, AssignmentKind::Exam));
            $this->assertEquals(2, $this->act($attempt, 'wait', 0)->json('until_s'));
        }
    }

    public function test_it_is_marked_when_handed_back_and_then_closed(): void
    {
        $this->act($this->attempt, 'name', 1, ['fault' => 'limit:stuck-open'])->assertOk();
        $this->act($this->attempt, 'hand_back', 2)->assertOk()->assertJsonPath('handed_back', true);
        $this->attempt->refresh();
        $this->assertSame('guess', $this->attempt->mark['verdict'], 'nothing was even looked at');
        $this->assertCount(8, $this->attempt->mark['lines']);
        $this->assertCount(2, $this->attempt->debrief['entries']);
        $this->act($this->attempt, 'look', 3, ['part' => 'breaker'])->assertConflict();
        $this->get("/attempts/{$this->attempt->id}/debrief")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Debrief')
                ->where('fault.id', 'limit:stuck-open')
                ->has('debrief.entries', 2)
                ->has('debrief.entries.0.best'),
        );
    }

    public function test_a_mark_that_was_cut_short_is_made_up_for(): void
    {
        $this->act($this->attempt, 'hand_back', 2)->assertOk();
        $this->attempt->refresh()->update(['mark' => null, 'debrief' => null]);
        Mark::query()->delete();
        $this->get("/attempts/{$this->attempt->id}/debrief")->assertOk();
        $this->assertNotNull($this->attempt->refresh()->mark);
    }

    public function test_beginning_twice_goes_on_with_the_same(): void
    {
        $this->begin($this->attempt->assignment);
        $this->assertSame(1, Attempt::query()->count());
    }
}
