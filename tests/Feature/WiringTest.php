<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Task;
use App\Work\Asked;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** An appliance that is wired at the bench: given, wired, hinted at, handed back, marked by what it does. */
class WiringTest extends TestCase
{
    use RefreshDatabase, School;

    private const WIRES = 7;

    private int $acts = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->acts = 0;
    }

    private function job(AssignmentKind $kind = AssignmentKind::Practice, string $shown = 'drawing'): Assignment
    {
        $heater = Appliance::ship('wall-heater-millivolt');

        return app(AssignJob::class)->give(
            $this->instructor, $heater, $this->course, [$this->trainee->id, $this->classmate->id], 'Wire it',
            'healthy', $heater->model()->visits()[0], $kind, 'Wire it.', 7,
            asked: new Asked(AssignmentWork::Wire, wires: 'all', shown: $shown),
        );
    }

    private function begun(Assignment $job): Attempt
    {
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->sole();
    }

    private function act(Attempt $attempt, string $name, array $with = []): TestResponse
    {
        $at = $this->actingAs($this->trainee)->get("/attempts/$attempt->id")->inertiaProps('now.now_s');

        return $this->postJson("/attempts/$attempt->id/acts", [
            'id' => 'w'.$this->acts++, 'act' => $name, 'at_s' => $at,
        ] + $with);
    }

    /** @param list<string> $not ids of wires that are left out */
    private function wire(Assignment $job, Attempt $attempt, array $not = []): void
    {
        foreach ($job->fresh()->sheet['sound']['wires'] as $wire) {
            if (! in_array($wire['id'], $not, true)) {
                $this->act($attempt, 'run_wire', [
                    'from' => $wire['from'], 'to' => $wire['to'], 'colour' => $wire['colour'],
                    'awg' => $wire['awg'] ?? 18,
                ])->assertOk()->assertJsonPath('entry.refused', null);
            }
        }
    }

    private function doors(Attempt $attempt): void
    {
        $this->act($attempt, 'door', ['to' => 'open']);
    }

    public function test_it_is_given_from_the_form_wired_and_marked(): void
    {
        $heater = Appliance::ship('wall-heater-millivolt');
        $form = [
            'appliance' => $heater->id, 'course' => $this->course->id, 'trainees' => [$this->trainee->id],
            'title' => 'Wire it', 'fault' => 'healthy', 'visit' => $heater->model()->visits()[0], 'kind' => 'practice',
            'complaint' => 'Wire it.', 'work' => 'wire', 'wires' => 'all', 'shown' => 'drawing',
        ];
        $this->actingAs($this->instructor)->post('/jobs', $form)->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Wire, $job->work);
        $this->assertSame([], json_decode($job->document, true)['wires']);

        $attempt = $this->begun($job);
        $this->get("/attempts/$attempt->id")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Bench')->where('wiring.missing', self::WIRES)->where('faults', [])->has('board.ladder')
            ->where('wiring.picture', null)->has('wiring.described.0')->where('board.wires', []));
        $this->doors($attempt);
        $this->wire($job, $attempt);
        $this->act($attempt, 'hand_back')->assertOk()->assertJsonPath('handed_back', true);

        $mark = $attempt->refresh()->mark;
        $this->assertSame('wired', $mark['verdict'], json_encode($mark['lines']));
        $this->assertSame(['works', 'guards', 'code', 'care'], array_column($mark['lines'], 'id'));
        $this->assertEquals(1, $mark['lines'][0]['share']);
        $this->assertEquals(1, $mark['lines'][1]['share']);
        $this->get("/attempts/$attempt->id/debrief")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Debrief')->where('job.work', 'wire')->has('board.wires', self::WIRES)
            ->has('debrief.entries.0')->has('past.perceived'));
        $this->actingAs($this->instructor)->get("/jobs/$job->id")->assertOk();
        $this->get("/attempts/$attempt->id/debrief.pdf")->assertOk();
    }

    public function test_one_wire_less_is_told_by_what_it_leaves_dead(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $this->doors($attempt);
        $this->wire($job, $attempt, ['w07']);
        $this->act($attempt, 'hand_back')->assertOk();
        $attempt->refresh();
        $this->assertSame('miswired', $attempt->mark['verdict']);
        $this->assertFalse($attempt->mark['passed']);
        $wrong = array_filter($attempt->debrief['entries'], fn (array $row): bool => $row['share'] < 1);
        $this->assertNotSame([], $wrong);
        $this->assertStringContainsString('should have', array_values($wrong)[0]['flaws'][0]);
    }

    public function test_a_bridged_safety_never_passes(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $this->doors($attempt);
        $this->wire($job, $attempt);
        $this->act($attempt, 'run_wire', ['from' => 'limit.a', 'to' => 'limit.b'])->assertOk();
        $this->act($attempt, 'hand_back')->assertOk();
        $mark = $attempt->refresh()->mark;
        $this->assertSame('unguarded', $mark['verdict']);
        $this->assertFalse($mark['passed']);
        $this->assertNotSame([], $mark['not_passed']);
    }

    public function test_a_hint_says_what_is_not_right_yet_and_costs(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $this->act($attempt, 'hint', ['grade' => 'reading'])->assertOk();
        $told = $attempt->entries()->get()->last()->outcome['seen']['hint'];
        $this->assertStringContainsString('belong together', $told);
        $this->doors($attempt);
        $this->wire($job, $attempt);
        $this->act($attempt, 'hand_back')->assertOk();
        $this->assertEquals(10, $attempt->refresh()->mark['hints']['points']);
    }

    public function test_what_there_is_to_wire_by_is_as_it_was_chosen(): void
    {
        $shows = ['drawing' => [true, false], 'picture' => [false, true], 'sequence' => [false, false]];
        foreach ($shows as $shown => $has) {
            $job = $this->job(AssignmentKind::Exam, $shown);
            $attempt = $this->begun($job);
            $props = $this->get("/attempts/$attempt->id")->assertOk()->inertiaProps();
            $this->assertSame($has, [isset($props['board']['ladder']), $props['wiring']['picture'] !== null], $shown);
        }
    }

    public function test_an_appliance_with_a_fault_is_not_given_to_be_wired(): void
    {
        $heater = Appliance::ship('wall-heater-millivolt');
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => $heater->id, 'course' => $this->course->id, 'trainees' => [$this->trainee->id],
            'title' => 'Wire it', 'fault' => 'limit:stuck-open', 'visit' => $heater->model()->visits()[0],
            'kind' => 'practice', 'complaint' => 'Wire it.', 'work' => 'wire', 'wires' => 'all',
        ])->assertSessionHasErrors('fault');
        $this->assertSame(0, Assignment::query()->count());
    }

    public function test_where_all_is_line_voltage_the_control_circuit_is_no_job(): void
    {
        $boiler = Appliance::ship('boiler-simple-230');
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => $boiler->id, 'course' => $this->course->id, 'trainees' => [$this->trainee->id],
            'title' => 'Wire it', 'fault' => 'healthy', 'visit' => $boiler->model()->visits()[0],
            'kind' => 'practice', 'complaint' => 'Wire it.', 'work' => 'wire', 'wires' => 'control',
        ]);
        $this->assertSame(0, Assignment::query()->count());
        $this->assertStringContainsString('Take all wires', (string) Task::query()->where('kind', 'give')->value('error'));
    }

    public function test_the_wall_looks_at_its_bench_and_asks_for_no_suspects(): void
    {
        $job = $this->job();
        $attempt = $this->begun($job);
        $this->doors($attempt);
        $this->wire($job, $attempt);
        $this->actingAs($this->instructor)->getJson("/courses/{$this->course->id}/wall/curves")->assertOk()
            ->assertJsonPath('rows.0.suspects', false)->assertJsonPath('rows.0.at_bench', true);
        $this->assertSame(0, Task::query()->where('kind', 'curve')->count());
        $this->get("/attempts/$attempt->id/look")->assertOk();
        $this->postJson("/attempts/$attempt->id/hint", ['grade' => 'where'])->assertOk();
    }
}
