<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\AssignmentKind;
use App\Models\Draft;
use App\Models\DraftStep;
use App\Models\Share;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Building\Edits;
use Tests\School;
use Tests\TestCase;

/** Models that are being made: edits, steps, two people, checks, runs, files. */
class DraftTest extends TestCase
{
    use RefreshDatabase, School;

    private Draft $draft;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->withoutAnalyses();
        $this->actingAs($this->instructor);
        $this->post('/drafts', ['title' => 'Printing shop furnace', 'region' => 'NA'])->assertRedirect();
        $this->draft = Draft::query()->sole();
    }

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

    public function test_hundreds_of_damaged_files_and_edits_cause_no_error_of_ours_and_leave_nothing_behind(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(11));
        $text = $this->draft->document;
        $good = (string) json_encode((new Library())->document('furnace-standing-pilot'));
        $taken = 0;
        for ($i = 0; $i < 150; $i++) {
            $at = $random->getInt(0, strlen($good) - 1);
            $bad = substr_replace(
                $good,
                $i % 2 === 0 ? chr($random->getInt(32, 126)) : '',
                $at,
                $random->getInt(1, 12),
            );
            $before = Draft::query()->count();
            $response = $this->post('/drafts', ['file' => $bad]);
            $this->assertSame(302, $response->status(), "file $i");
            $taken += Draft::query()->count() - $before;
            $this->assertSame(Draft::query()->count(), DraftStep::query()->where('number', 0)->count());
        }
        $this->assertLessThan(140, $taken, 'most are refused; what is sound after all is taken in whole');
        $junk = [null, -1, 1e300, '', 'moon', [], [[]], ['x' => 1], true, str_repeat('a', 5000)];
        foreach (array_keys(Edits::EDITS) as $name) {
            foreach ($junk as $value) {
                $edit = ['do' => $name] + array_fill_keys(array_keys(Edits::EDITS[$name]), $value);
                $response = $this->postJson("/drafts/{$this->draft->id}/edits", [
                    'upon' => $this->draft->refresh()->step,
                    'edits' => [$edit],
                ]);
                $this->assertContains(
                    $response->status(),
                    [200, 422],
                    "$name ".json_encode($value).$response->content(),
                );
            }
        }
        $this->assertSame($text, $this->draft->refresh()->document);
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

    /**
     * Random edits through the site: what the database holds, what the file says, and what comes of taking that file in
     * again are one text.
     */
    public function test_random_edits_come_back_the_same_through_database_and_file_and_undo_ends_at_the_first_byte(): void
    {
        $first = $this->draft->document;
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(23));
        $kinds = ['supply', 'breaker', 'limit-switch', 'transformer-120-24', 'relay-24', 'circulator'];
        $made = 0;
        for ($i = 0; $i < 60; $i++) {
            $document = $this->draft->refresh()->content();
            $places = array_merge(
                [],
                ...array_map(
                    fn (array $p) => array_map(
                        fn (string $t) => "{$p['id']}.$t",
                        array_map('strval', array_keys((new Library())->kind($p['kind'])['terminals'])),
                    ),
                    $document['parts'],
                ),
            );
            $any = fn (array $list): mixed => $list[$random->getInt(0, count($list) - 1)];
            $edit = match ($places === [] ? 0 : $random->getInt(0, 5)) {
                0, 1 => [
                    'do' => 'place',
                    'kind' => $any($kinds),
                    'at' => [$random->getInt(0, 1100), $random->getInt(0, 700)],
                ],
                2, 3 => ['do' => 'wire', 'from' => $any($places), 'to' => $any($places)],
                4 => ['do' => 'move', 'parts' => [$any(array_column($document['parts'], 'id'))], 'by' => [14, -7]],
                default => ['do' => 'remove', 'parts' => [$any(array_column($document['parts'], 'id'))]],
            };
            $made += $this->edit($this->draft->step, $edit)->status() === 200 ? 1 : 0;
        }
        $this->assertGreaterThan(30, $made);
        $text = $this->draft->refresh()->document;
        $this->assertSame($text, Document::text($this->draft->content()));
        $file = (string) $this->get("/drafts/{$this->draft->id}/files/model.json")->content();
        $this->assertSame(
            json_decode($text, true) + ['about' => ['made_with' => DocumentFile::READS]],
            json_decode($file, true),
            'and what it needs to be read',
        );
        $this->post('/drafts', ['file' => $file])->assertRedirect();
        $again = Draft::query()->whereKeyNot($this->draft->id)->sole();
        $this->assertSame(
            str_replace('"name": "printing-shop-furnace"', '"name": "printing-shop-furnace-2"', $text),
            $again->document,
        );
        for ($steps = 0; $this->draft->refresh()->step > 0 && $steps < 80; $steps++) {
            $this->go($this->draft->step, 'undo')->assertOk();
        }
        $this->assertSame($first, $this->draft->document);
    }

    public function test_after_going_back_another_way_is_taken_and_the_first_is_still_kept(): void
    {
        $this->edit(0, ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'label' => 'Panel']);
        $this->go(1, 'undo');
        $this->edit(0, [
            'do' => 'place',
            'kind' => 'supply-240',
            'at' => [40, 400],
            'label' => 'Panel 240',
        ])->assertJsonPath('step', 2);
        $this->postJson("/drafts/{$this->draft->id}/label", ['number' => 1, 'label' => 'with one leg'])
            ->assertOk()
            ->assertJsonPath('1.label', 'with one leg');
        $this->getJson("/drafts/{$this->draft->id}/difference?from=1&to=2")
            ->assertOk()
            ->assertJson(['Panel 240 placed.', 'Panel taken off.']);
        $this->postJson("/drafts/{$this->draft->id}/restore", ['upon' => 2, 'number' => 1])
            ->assertOk()
            ->assertJsonPath('step', 3)
            ->assertJsonPath('told.parts.0.label', 'Panel');
        $this->assertSame(
            'As it was at step 1, "with one leg".',
            DraftStep::query()->where('number', 3)->sole()->words,
        );
        $this->getJson("/drafts/{$this->draft->id}/difference?from=1&to=9")->assertUnprocessable();
        $this->getJson("/drafts/{$this->draft->id}/history")->assertOk()->assertJsonPath('0.number', 3);
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
        $row = ['visit' => 'cold', 'at_s' => 60, 'mode' => 'vac', 'red' => 'valve.MV', 'black' => 'valve.MVC', 'least' => 22];
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

    public function test_a_model_goes_to_another_school_with_its_author_its_licence_and_its_jobs(): void
    {
        $this->post('/drafts', ['model' => 'furnace-standing-pilot', 'title' => 'Ours']);
        $this->draft = Draft::query()->where('name', 'ours')->sole();
        $about = ['author' => 'R. Sand', 'licence' => 'to copy and to change'];
        $this->edit(0, ['do' => 'set', 'path' => '/about', 'value' => $about])->assertOk();
        $came = ['title' => 'Gas is shut', 'fault' => 'cock:shut', 'visit' => 'cold', 'kind' => 'practice'];
        $gone = ['title' => 'Of a part that is gone', 'fault' => 'nothing:here', 'visit' => 'cold'];
        $this->edit(1, ['do' => 'set', 'path' => '/jobs', 'value' => [$came, $gone]])->assertOk();
        $file = (string) $this->get("/drafts/{$this->draft->id}/files/model.json")->assertOk()->content();
        $this->travel(6)->seconds();
        $this->post('/drafts', ['file' => $file, 'title' => 'Theirs'])->assertRedirect();
        $there = Draft::query()->where('name', 'theirs')->sole();
        $this->assertSame($about, $there->content()['about']);
        $id = $this->postJson("/drafts/$there->id/publish")->assertOk()->json('appliance');
        $this->get("/models/$id")->assertInertia(
            fn (AssertableInertia $page) => $page->where('model.about', $about)->where('comes_with', [$came]),
        );
        // a job that was given on it goes along
        $appliance = Appliance::query()->findOrFail($id);
        app(AssignJob::class)->give(
            $this->instructor, $appliance, $this->course, [$this->trainee->id], 'Given here', 'cock:shut', 'cold',
            AssignmentKind::Practice, 'No heat.', 11,
        );
        $again = json_decode((string) $this->get("/drafts/$there->id/files/model.json")->content(), true);
        $this->assertContains('Given here', array_column($again['jobs'], 'title'));
    }

    public function test_what_a_newer_program_made_is_refused_with_what_it_needs(): void
    {
        $newer = json_encode(['about' => ['made_with' => DocumentFile::READS + 1]] + $this->draft->content());
        $this->post('/drafts', ['file' => $newer])->assertSessionHasErrors('file');
        $this->assertStringContainsString('newer Odd Spark', session('errors')->first('file'));
        $third = json_encode(['odd_spark_model' => 3] + $this->draft->content());
        $this->post('/drafts', ['file' => $third])->assertSessionHasErrors('file');
        $this->assertStringContainsString('Bring this one up to date', session('errors')->first('file'));
        $this->assertSame(1, Draft::query()->count());
    }

    public function test_it_comes_out_as_files_and_a_wire_list_goes_in(): void
    {
        $this->post('/drafts', ['model' => 'furnace-standing-pilot', 'title' => 'Mine']);
        $draft = Draft::query()->where('name', 'mine')->sole();
        $file = json_decode((string) $this->get("/drafts/$draft->id/files/model.json")->assertOk()->content(), true);
        $this->assertSame(['about' => ['made_with' => DocumentFile::READS]], array_diff_key($file, $draft->content()));
        foreach (['board.svg', 'ladder.svg', 'sequence.svg'] as $what) {
            $this->assertNotFalse(
                simplexml_load_string(
                    (string) $this->get("/drafts/$draft->id/files/$what")
                        ->assertOk()
                        ->content(),
                ),
                $what,
            );
        }
        $this->assertStringStartsWith(
            '%PDF',
            (string) $this->get("/drafts/$draft->id/files/board.pdf")
                ->assertOk()
                ->content(),
        );
        $this->assertStringContainsString(
            '.ac lin 1 60 60',
            (string) $this->get("/drafts/$draft->id/files/netlist.cir")
                ->assertOk()
                ->content(),
        );
        $this->get("/drafts/$draft->id/files/secret.txt")->assertNotFound();
        $this->get("/drafts/{$this->draft->id}/files/netlist.cir")->assertStatus(422);
        $csv = (string) $this->get("/drafts/$draft->id/files/wires.csv")
            ->assertOk()
            ->content();
        $this->postJson("/drafts/$draft->id/edits", [
            'upon' => 0,
            'edits' => [
                [
                    'do' => 'wire_list',
                    'csv' => str_replace(
                        'w02,breaker.load,service.line,black,14',
                        'w02,breaker.load,service.line,red,12',
                        $csv,
                    ),
                ],
            ],
        ])->assertOk();
        $wire = collect($draft->refresh()->content()['wires'])->firstWhere('id', 'w02');
        $this->assertSame(['red', 12], [$wire['colour'], $wire['awg']]);
    }

    public function test_published_it_is_a_model_of_the_school_and_a_job_can_be_given_from_it(): void
    {
        $this->postJson("/drafts/{$this->draft->id}/publish")
            ->assertUnprocessable()
            ->assertJsonPath('message', fn (string $m) => str_starts_with($m, 'It cannot run yet.'));
        $this->post('/drafts', ['model' => 'furnace-standing-pilot', 'title' => 'Mine']);
        $draft = Draft::query()->where('name', 'mine')->sole();
        $id = $this->postJson("/drafts/$draft->id/publish")->assertOk()->json('appliance');
        $this->get("/models/$id")->assertOk();
        $this->post('/jobs', [
            'appliance' => $id,
            'course' => $this->course->id,
            'trainees' => [$this->trainee->id],
            'title' => 'Own',
            'fault' => 'thermocouple:weak',
            'visit' => 'cold',
            'kind' => 'practice',
            'complaint' => 'Cold.',
            'rules' => null,
        ])->assertSessionHasNoErrors();
        $this->assertSame('mine', Appliance::query()->findOrFail($id)->name);
    }

    public function test_a_kind_of_ones_own_is_kept_placed_and_travels_with_the_model(): void
    {
        $kind = [
            'name' => 'Fan timer',
            'title' => 'fan timer',
            'terminals' => [
                ['name' => 'W', 'edge' => 'up'],
                ['name' => 'C', 'edge' => 'up'],
                ['name' => 'L', 'edge' => 'down'],
                ['name' => 'F', 'edge' => 'down'],
            ],
            'primitives' => [
                'coil' => [
                    'type' => 'coil',
                    'between' => ['W', 'C'],
                    'ohm' => 150,
                    'reactance_ohm' => 200,
                    'pull_in_v' => 16,
                    'drop_out_v' => 8,
                    'pull_in_ms' => 20000,
                    'drop_out_ms' => 60000,
                ],
                'contact' => ['type' => 'contact', 'between' => ['L', 'F'], 'follows' => 'coil', 'key' => 'on'],
            ],
        ];
        $this->postJson('/kinds', $kind)->assertOk()->assertJsonPath('kind.kind', 'fan-timer');
        $kinds = $this->getJson("/drafts/{$this->draft->id}/kinds")->assertOk()->json();
        $this->assertSame(['fan-timer'], array_column(array_filter($kinds, fn (array $k) => $k['own']), 'kind'));
        $this->edit(0, ['do' => 'place', 'kind' => 'fan-timer', 'at' => [200, 200]])->assertOk();
        $this->assertArrayHasKey('fan-timer', $this->draft->refresh()->content()['kinds']);
        $this->get('/kinds')->assertInertia(fn (AssertableInertia $page) => $page->component('Kinds')->has('kinds', 1));
        $this->postJson('/kinds', ['primitives' => ['coil' => ['type' => 'coil', 'between' => ['W', 'C'], 'ohm' => 1]]] + $kind)
            ->assertUnprocessable()
            ->assertJsonPath('message', 'A "coil" needs "drop_out_ms".');
        $this->postJson('/kinds', array_replace_recursive($kind, ['primitives' => ['coil' => ['between' => ['W', 'moon']]]]))
            ->assertUnprocessable()
            ->assertJsonPath('message', '"coil" goes to "moon", which is no terminal of it; there are W, C, L, F.');
        $this->postJson('/kinds', ['name' => 'limit switch'] + $kind)->assertUnprocessable();
    }

    /** @param array<string, mixed> ...$edits */
    private function edit(int $upon, array ...$edits): TestResponse
    {
        return $this->postJson("/drafts/{$this->draft->id}/edits", ['upon' => $upon, 'edits' => $edits]);
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

    private function go(int $upon, string $way): TestResponse
    {
        return $this->postJson("/drafts/{$this->draft->id}/go", ['upon' => $upon, 'way' => $way]);
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string|int> $path
     */
    private static function with(array $document, array $path, mixed $value): string
    {
        $at = &$document;
        foreach ($path as $key) {
            $at = &$at[$key];
        }
        $at = $value;
        unset($at);

        return Document::text($document);
    }
}
