<?php

namespace Tests\Feature;

use App\Live\Push;
use App\Live\Supervision;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** A class at work: seen by its instructor as it happens, stopped, spoken to, ended. */
class LiveTest extends TestCase
{
    use RefreshDatabase, School;

    /** @var \ArrayObject<int, array{string, string, array<string, mixed>}> what was pushed: channel, what, message */
    private \ArrayObject $pushed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->freezeTime();
        $this->pushed = new \ArrayObject();
        $this->app->instance(Push::class, new class($this->pushed) extends Push {
            /** @param \ArrayObject<int, array{string, string, array<string, mixed>}> $pushed */
            public function __construct(private readonly \ArrayObject $pushed)
            {
                parent::__construct(null);
            }

            protected function send(string $channel, string $what, array $message): void
            {
                $this->pushed[] = [$channel, $what, $message];
            }
        });
    }

    public function test_the_wall_shows_who_is_on_what_and_is_told_at_once_what_was_done(): void
    {
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertOk();
        [$channel, $what, $message] = $this->pushed[0];
        $this->assertSame(["wall-{$this->course->id}", 'acted'], [$channel, $what]);
        $this->assertSame($attempt->id, $message['attempt']);
        $this->assertStringContainsString('hermostat', $message['last']);

        $this->actingAs($this->instructor)->get("/courses/{$this->course->id}/wall")->assertInertia(
            fn (AssertableInertia $page) => $page->component('Wall')->has('rows', 1)
                ->where('rows.0.name', $this->trainee->name)->where('rows.0.entries', 1)
                ->where('rows.0.last', $message['last'])->where('rows.0.unsafe', null)->where('may_act', true),
        );
    }

    public function test_the_suspects_left_are_found_for_the_wall_and_never_told_at_the_bench(): void
    {
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertOk();
        $this->actingAs($this->instructor)->getJson("/courses/{$this->course->id}/wall/curves")->assertOk();
        $curve = $attempt->fresh()->curve['left'];
        $this->assertCount(2, $curve, 'on arrival, and after the act');
        $this->assertGreaterThan(10, $curve[0]);
        $this->assertGreaterThanOrEqual($curve[1], $curve[0]);
        $this->assertContains('curve', array_column($this->pushed->getArrayCopy(), 1));
        $bench = $this->actingAs($this->trainee)->get("/attempts/$attempt->id")->assertOk()->getContent();
        $this->assertStringNotContainsString('"curve', $bench);
    }

    public function test_all_benches_stop_and_go_on_and_the_clock_stands_meanwhile(): void
    {
        $job = $this->give();
        $job->update(['minutes' => 30]);
        $attempt = $this->begin($job);
        $stop = fn (bool $stopped) => $this->actingAs($this->instructor)
            ->postJson("/courses/{$this->course->id}/stopped", ['stopped' => $stopped])->assertOk();
        $this->assertSame(1, $stop(true)->json('benches'));
        $this->assertSame(["bench-$attempt->id", 'stopped'], array_slice($this->pushed[0], 0, 2));
        $this->actingAs($this->trainee);
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertUnprocessable()
            ->assertJsonPath('message', fn (string $m) => str_contains($m, 'stopped all benches'));
        $this->postJson("/attempts/$attempt->id/play", ['to_s' => 1])->assertUnprocessable();
        $this->travel(50)->minutes();
        $this->actingAs($this->trainee)->get("/attempts/$attempt->id")->assertInertia(
            fn (AssertableInertia $page) => $page->where('stopped', true)->where('left_s', 1800),
        );
        $this->assertSame(0, $stop(true)->json('benches'), 'stopped already');
        $this->assertSame(1, $stop(false)->json('benches'));
        $this->actingAs($this->trainee);
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertOk();
        $this->travel(29)->minutes();
        $this->act($attempt, 'look', 0, ['part' => 'filter'])->assertJsonPath('handed_back', false);
        $this->travel(2)->minutes();
        $this->act($attempt, 'look', 0, ['part' => 'filter'])->assertJsonPath('handed_back', true);
    }

    public function test_who_begins_while_all_is_stopped_finds_his_bench_stopped(): void
    {
        $this->actingAs($this->instructor)->postJson(
            "/courses/{$this->course->id}/stopped",
            ['stopped' => true],
        )->assertOk();
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertUnprocessable();
    }

    public function test_a_hand_goes_up_and_something_is_said_both_ways(): void
    {
        $attempt = $this->begin($this->give());
        $this->postJson("/attempts/$attempt->id/hand", ['up' => true])->assertOk();
        $this->postJson("/attempts/$attempt->id/said", ['text' => 'Is this the right board?'])->assertOk();
        $this->actingAs($this->instructor)->get("/courses/{$this->course->id}/wall")
            ->assertInertia(fn (AssertableInertia $page) => $page->where('rows.0.hand_s', 0));
        $this->postJson("/attempts/$attempt->id/said", ['text' => 'It is. Look at its lamp.'])->assertOk();
        $this->postJson("/attempts/$attempt->id/hand", ['up' => false])->assertOk();
        $this->postJson("/attempts/$attempt->id/said", ['text' => ''])->assertUnprocessable();
        $said = $this->actingAs($this->trainee)->getJson("/attempts/$attempt->id/said")->assertOk()->json('events');
        $this->assertSame(['hand up', 'said', 'said', 'hand down'], array_column($said, 'what'));
        $this->assertSame([true, true, false, false], array_column($said, 'mine'));
        $this->actingAs($this->classmate)->getJson("/attempts/$attempt->id/said")->assertNotFound();
    }

    public function test_of_one_attempt_no_more_is_noted_than_anybody_reads_and_it_can_still_be_ended(): void
    {
        $attempt = $this->begin($this->give());
        $row = ['attempt_id' => $attempt->id, 'what' => 'left page', 'seconds' => 2];
        AttemptEvent::query()->insert(array_fill(0, 500, $row));
        $this->postJson("/attempts/$attempt->id/away", ['what' => 'page', 'seconds' => 9])->assertUnprocessable();
        $this->postJson("/attempts/$attempt->id/said", ['text' => 'And more'])->assertUnprocessable();
        $this->actingAs($this->instructor)->postJson(
            "/courses/{$this->course->id}/stopped",
            ['stopped' => true],
        )->assertOk();
        $this->postJson("/courses/{$this->course->id}/stopped", ['stopped' => false])->assertOk();
        $this->postJson("/attempts/$attempt->id/end")->assertOk();
        $this->assertSame(500 + 2, $attempt->events()->count(), 'what the instructor did to all is noted all the same');
    }

    public function test_a_hint_of_the_instructor_costs_the_trainee_nothing(): void
    {
        $attempt = $this->begin($this->give());
        $this->actingAs($this->instructor)->postJson("/attempts/$attempt->id/hint", ['grade' => 'where'])->assertOk();
        $event = $attempt->events()->sole();
        $this->assertSame('hint', $event->what->value);
        $this->assertNotSame('', $event->text);
        $this->assertSame(0, $attempt->entries()->count());
    }

    public function test_a_look_over_the_shoulder_shows_the_bench_and_does_nothing_there(): void
    {
        $attempt = $this->begin($this->give());
        $this->actingAs($this->instructor)->get("/attempts/$attempt->id/look")->assertInertia(
            fn (AssertableInertia $page) => $page->component('Bench')->where('watched', $this->trainee->name),
        );
        $this->postJson(
            "/attempts/$attempt->id/acts",
            ['id' => 'x', 'act' => 'look', 'part' => 'filter', 'at_s' => 0],
        )->assertNotFound();
    }

    public function test_an_ended_call_is_closed_and_marked_once(): void
    {
        $attempt = $this->begin($this->give());
        $this->actingAs($this->instructor)->postJson("/attempts/$attempt->id/end")->assertOk();
        $this->assertNotNull($attempt->fresh()->handed_back_at);
        $this->assertStringStartsWith('Closed by the instructor', $attempt->entries()->sole()->sentence);
        $this->assertNotNull($attempt->fresh()->mark);
        $this->postJson("/attempts/$attempt->id/end")->assertNotFound();
        $this->assertContains(["bench-$attempt->id", 'ended', []], $this->pushed->getArrayCopy());
    }

    public function test_a_lost_connection_stops_the_clock_as_long_as_nothing_came_and_five_minutes_in_all(): void
    {
        $job = $this->give(kind: AssignmentKind::Exam);
        $job->update(['minutes' => 30]);
        $attempt = $this->begin($job);
        $lost = fn (int $seconds) => $this->postJson(
            "/attempts/$attempt->id/away",
            ['what' => 'connection', 'seconds' => $seconds],
        )
            ->assertOk()->json('given_s');
        $this->assertSame(0, $lost(200), 'it was here just now');
        $this->travel(100)->seconds();
        $this->assertSame(60, $lost(60));
        $this->travel(1000)->seconds();
        $this->assertSame(Supervision::LOST_S - 60, $lost(1000), 'no more than five minutes in all');
        $this->travel(100)->seconds();
        $this->assertSame(0, $lost(50));
        $this->assertSame(Supervision::LOST_S, Attempt::query()->findOrFail($attempt->id)->stopped_s);
        $this->assertSame(4, $attempt->events()->where('what', 'lost connection')->count());
        $this->postJson("/attempts/$attempt->id/away", ['what' => 'page', 'seconds' => 12])->assertOk();
        $this->actingAs($this->instructor)->get("/courses/{$this->course->id}/wall")
            ->assertInertia(fn (AssertableInertia $page) => $page->where('rows.0.left_page', 1));
    }
}
