<?php

namespace Tests\Feature;

use App\Models\Draft;
use App\Models\DraftStep;
use App\Models\Share;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use OddSpark\Appliance\Library;
use Tests\School;
use Tests\TestCase;

/** Models that are being made: edits, steps, two people, checks, runs, files. */
class DraftTest extends TestCase
{
    use EditsDrafts;
    use RefreshDatabase, School;

    public function test_it_begins_from_nothing_from_a_shipped_model_or_from_a_file(): void
    {
        $this->get("/drafts/{$this->draft->id}")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Builder')
                ->where('start.step', 0)
                ->has('start.board.parts', 0)
                ->has('catalogue')
                ->where('start.undo', false),
        );
        $this->post('/drafts', ['model' => 'furnace-standing-pilot', 'title' => 'Mine'])->assertRedirect();
        $mine = Draft::query()->where('title', 'Mine')->sole();
        $this->assertCount(21, $mine->content()['parts']);
        $this->assertSame('mine', $mine->name);
        // a button that was pressed twice
        $this->post('/drafts', ['file' => $mine->document])->assertRedirect("/drafts/$mine->id");
        $this->travel(6)->seconds();
        $this->post('/drafts', ['file' => $mine->document])->assertRedirect();
        $this->assertSame(
            ['mine', 'mine-2', 'printing-shop-furnace'],
            Draft::query()->orderBy('name')->pluck('name')->all(),
            'no name twice',
        );
        $this->get('/drafts')->assertInertia(
            fn (AssertableInertia $page) => $page->component('Drafts')->has('drafts', 3),
        );
    }

    public function test_a_bad_file_is_refused_with_what_and_where_and_nothing_is_kept(): void
    {
        $document = (new Library())->document('furnace-standing-pilot');
        foreach (
            [
                'no JSON' => '{"odd',
                'no such place' => self::with($document, ['wires', 0, 'to'], 'breaker.attic'),
                'no colour' => self::with($document, ['wires', 0, 'colour'], 'tartan'),
                'unknown key' => self::with($document, ['spell'], 1),
            ] as $what => $text
        ) {
            $this->post('/drafts', ['file' => $text])->assertSessionHasErrors('file');
            $this->assertStringContainsString('Nothing was imported.', session('errors')->first('file'), $what);
        }
        $this->assertSame(1, Draft::query()->count());
        $this->post('/drafts', [])->assertSessionHasErrors(['title', 'region']);
    }

    public function test_edits_are_steps_and_undo_goes_back_to_the_byte(): void
    {
        $first = $this->draft->document;
        $this->edit(0, ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400]])
            ->assertOk()
            ->assertJsonPath('step', 1)
            ->assertJsonPath('undo', true)
            ->assertJsonPath('changed.parts.0.label', '120 V supply at the panel');
        $this->edit(1, ['do' => 'place', 'kind' => 'breaker', 'at' => [40, 300], 'label' => 'Breaker'])->assertOk();
        $this->edit(2, ['do' => 'wire', 'from' => '120-v-supply-at-the-panel.L', 'to' => 'breaker.line'])
            ->assertOk()
            ->assertJsonPath('changed.wires.0.colour', 'black');
        $this->assertSame(
            'Black wire 120 V supply at the panel L to Breaker line drawn.',
            DraftStep::query()->where('number', 3)->sole()->words,
        );
        for ($step = 3; $step > 0; $step--) {
            $this->go($step, 'undo')->assertOk()->assertJsonPath('step', $step - 1)->assertJsonPath('redo', true);
        }
        $this->go(0, 'undo')->assertUnprocessable()->assertJsonPath('message', 'There is nothing before this.');
        $this->assertSame($first, $this->draft->refresh()->document);
        $this->go(0, 'redo')->assertOk();
        $this->go(1, 'redo')->assertOk();
        $this->go(2, 'redo')->assertOk()->assertJsonPath('redo', false);
        $this->assertCount(1, $this->draft->refresh()->content()['wires']);
    }

    public function test_what_cannot_be_made_is_refused_and_of_several_none_is(): void
    {
        $this->edit(
            0,
            ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'label' => 'Panel'],
            ['do' => 'wire', 'from' => 'panel.L', 'to' => 'moon.line'],
        )
            ->assertUnprocessable()
            ->assertJsonPath('message', '/wires/0/to: There is no part called "moon".');
        $this->edit(0, ['do' => 'fly'])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/do');
        $this->postJson("/drafts/{$this->draft->id}/edits", ['upon' => 0, 'edits' => 'all'])->assertUnprocessable();
        $this->assertSame(0, $this->draft->refresh()->step);
        $this->assertSame(1, $this->draft->steps()->count());
    }

    public function test_two_people_are_told_of_each_other_and_neither_writes_over_the_other(): void
    {
        $other = User::factory()->instructor()->create(['name' => 'Orla']);
        Share::settle('model', $this->draft->name, null, Share::EDIT);
        $this->edit(0, ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'label' => 'Panel'])->assertOk();
        $this->actingAs($other)
            ->postJson("/drafts/{$this->draft->id}/presence")
            ->assertJsonPath('step', 1);
        $this->edit(0, ['do' => 'place', 'kind' => 'breaker', 'at' => [40, 300]])
            ->assertConflict()
            ->assertJsonPath(
                'message',
                "Somebody else has changed this model meanwhile: {$this->instructor->name}: Panel placed. You see it as it is now; do yours again if it still fits.",
            );
        $this->edit(1, ['do' => 'place', 'kind' => 'breaker', 'at' => [40, 300]])->assertOk();
        $this->actingAs($this->instructor)
            ->postJson("/drafts/{$this->draft->id}/presence")
            ->assertJsonPath('others', ['Orla'])
            ->assertJsonPath('step', 2)
            ->assertJsonPath('by', 'Orla');
        $this->assertCount(2, $this->draft->refresh()->content()['parts']);
        $this->actingAs($other)->delete("/drafts/{$this->draft->id}")->assertNotFound();
        $this->actingAs($this->instructor)->delete("/drafts/{$this->draft->id}")->assertRedirect('/drafts');
        $this->assertSame(0, DraftStep::query()->count());
    }

    public function test_its_wiring_is_checked_its_run_asked_and_its_safeties_made_to_act(): void
    {
        $this->getJson("/drafts/{$this->draft->id}/run")
            ->assertUnprocessable()
            ->assertJsonPath('message', fn (string $m) => str_starts_with($m, 'It cannot run yet.'));
        $this->post('/drafts', ['model' => 'furnace-standing-pilot', 'title' => 'Mine']);
        $draft = Draft::query()->where('name', 'mine')->sole();
        $this->getJson("/drafts/$draft->id/checks")
            ->assertOk()
            ->assertJsonPath('lacks', [])
            ->assertJsonPath('findings', [])
            ->assertJsonPath('circuits.0.class', 'line')
            ->assertJsonCount(3, 'circuits');
        $run = $this->getJson("/drafts/$draft->id/run?visit=cold")->assertOk();
        $this->assertNotEmpty($run->json('perceived')['burners.flame']);
        $moment = $this->getJson("/drafts/$draft->id/moment?visit=cold&at_s=60")->assertOk();
        $this->assertEqualsWithDelta(121, $moment->json('volts')['breaker.load']['volts'], 1.5);
        $this->getJson("/drafts/$draft->id/why?visit=cold&at_s=60&of=blower.motor")
            ->assertOk()
            ->assertJsonPath('text', fn (string $t) => str_contains($t, 'Blower'));
        $this->getJson("/drafts/$draft->id/why?at_s=60&of=moon")->assertUnprocessable();
        $safeties = $this->getJson("/drafts/$draft->id/safeties")->assertOk()->json('safeties');
        $this->assertSame([true, true], array_column($safeties, 'stops'));
        $bad = $this->edited($draft, ['do' => 'land', 'wire' => 'w12', 'end' => 'a', 'on' => 'panel.L']);
        $this->assertContains('class 2 meets line voltage', array_column($bad['findings'], 'rule'));
    }

    public function test_readings_that_are_expected_of_it_are_taken_anew_after_each_edit(): void
    {
        $this->post('/drafts', ['model' => 'furnace-80', 'title' => 'Mine']);
        $draft = Draft::query()->where('name', 'mine')->sole();
        $this->getJson("/drafts/$draft->id/readings")->assertOk()->assertJsonPath('readings', []);
        $row = [
            'visit' => 'cold',
            'at_s' => 60,
            'mode' => 'vac',
            'red' => 'valve.MV',
            'black' => 'valve.MVC',
            'least' => 22,
        ];
        $this->edited($draft, ['do' => 'set', 'path' => '/readings/-', 'value' => $row]);
        $this->getJson("/drafts/$draft->id/readings")->assertOk()->assertJsonPath('readings.0.holds', true);
        $this->edited($draft, ['do' => 'remove', 'wires' => [$this->wireTo($draft, 'valve.MV')]]);
        $this->getJson("/drafts/$draft->id/readings")
            ->assertOk()
            ->assertJsonPath('readings.0.holds', false)
            ->assertJsonPath('readings.0.says', fn (string $says) => str_contains($says, 'right is 22 or more'));
    }

    private function wireTo(Draft $draft, string $place): string
    {
        foreach ($draft->fresh()->content()['wires'] as $wire) {
            if (in_array($place, [$wire['from'], $wire['to']], true)) {
                return $wire['id'];
            }
        }
        $this->fail("No wire lands on $place.");
    }

    /**
     * @param array<string, mixed> $edit
     * @return array<string, mixed> the checks after it
     */
    private function edited(Draft $draft, array $edit): array
    {
        $this->postJson("/drafts/$draft->id/edits", [
            'upon' => $draft->refresh()->step,
            'edits' => [$edit],
        ])->assertOk();

        return $this->getJson("/drafts/$draft->id/checks")->assertOk()->json();
    }
}
