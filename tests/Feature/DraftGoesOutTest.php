<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\AssignmentKind;
use App\Models\Draft;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use OddSpark\Appliance\DocumentFile;
use Tests\School;
use Tests\TestCase;

/** A draft that leaves the builder: files, other schools, the models of the school, custom parts. */
class DraftGoesOutTest extends TestCase
{
    use EditsDrafts;
    use RefreshDatabase, School;

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
        $this->postJson(
            '/kinds',
            ['primitives' => ['coil' => ['type' => 'coil', 'between' => ['W', 'C'], 'ohm' => 1]]] + $kind,
        )
            ->assertUnprocessable()
            ->assertJsonPath('message', 'A "coil" needs "drop_out_ms".');
        $this->postJson(
            '/kinds',
            array_replace_recursive($kind, ['primitives' => ['coil' => ['between' => ['W', 'moon']]]]),
        )
            ->assertUnprocessable()
            ->assertJsonPath('message', '"coil" goes to "moon", which is no terminal of it; there are W, C, L, F.');
        $this->postJson('/kinds', ['name' => 'limit switch'] + $kind)->assertUnprocessable();
    }
}
