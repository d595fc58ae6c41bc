<?php

namespace Tests\Feature;

use App\Bench\AssignJob;
use App\Bench\AtTelephone;
use App\Bench\MarkAttempts;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Work\Asked;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Model;
use Tests\School;
use Tests\TestCase;

/** A customer at the telephone, between requests: what was asked is shown, what he did is not, till it is read out. */
class TelephoneTest extends TestCase
{
    use RefreshDatabase, School;

    private const FAULT = 'high:stuck-open';

    private float $at = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function begun(int $seed = 7): Attempt
    {
        $job = app(AssignJob::class)->give(
            $this->instructor, Appliance::ship('boiler-hydronic'), $this->course, [$this->trainee->id], 'By telephone',
            self::FAULT, 'cold', AssignmentKind::Practice, 'It is cold.', $seed,
            asked: new Asked(AssignmentWork::Remote),
        );
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->sole();
    }

    /** @param array<string, mixed> $with */
    private function do(Attempt $attempt, string $act, array $with = []): TestResponse
    {
        return $this->actingAs($this->trainee)->act($attempt, $act, ++$this->at, $with);
    }

    /** @return array{red: string, black: string} the low side of the transformer */
    private static function leads(Model $model): array
    {
        $part = $model->part('transformer');

        return ['red' => $part->places()[2], 'black' => $part->places()[3]];
    }

    public function test_it_is_given_from_the_form_and_nothing_is_perceived_but_what_is_asked(): void
    {
        $this->actingAs($this->instructor)->post('/jobs', [
            'appliance' => Appliance::ship('boiler-hydronic')->id, 'course' => $this->course->id,
            'trainees' => [$this->trainee->id], 'title' => 'By telephone', 'fault' => self::FAULT, 'visit' => 'cold',
            'kind' => 'practice', 'complaint' => 'It is cold.', 'work' => 'remote',
        ])->assertRedirect();
        $job = Assignment::query()->sole();
        $this->assertSame(AssignmentWork::Remote, $job->work);
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();
        $attempt = $job->attempts()->sole();
        $reply = $this->do($attempt, 'look', ['part' => 'thermostat'])->assertOk();
        $this->assertNotSame([], $reply->json('entry.seen'));
        $this->assertSame([[], []], [$reply->json('ahead.perceived'), $reply->json('ahead.meter')]);
        $trained = $this->do($attempt, 'mend', ['part' => 'high', 'how' => 'replace'])->assertUnprocessable();
        $this->assertStringContainsString('trained', (string) $trained->getContent());
        $this->assertSame(1, $attempt->entries()->count());
        $this->get("/attempts/$attempt->id")->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Bench')->where('job.work', 'remote')->where('job.is_traced', true)->has('past.meter', 0));
    }

    public function test_what_he_did_instead_stays_his_secret_till_it_is_read_out_and_is_what_suspects_go_by(): void
    {
        $model = Appliance::ship('boiler-hydronic')->model();
        $leads = self::leads($model);
        $asked = Catalogue::make(2000, 'leads', $leads);
        $seed = 1;
        while ((new AtTelephone($model, $seed * 31 + $this->trainee->id))->does($asked, 1)->with === $leads) {
            $seed++;
        }
        $slipped = $this->begun($seed);
        $line = new AtTelephone($model, $slipped->seed);
        $this->assertNotSame($leads, $line->does($asked, 1)->with, 'he takes one for another');
        $doors = $this->do($slipped, 'door', ['to' => 'open'])->assertOk();
        $this->assertNull($doors->json('entry.refused'));
        $reply = $this->do($slipped, 'leads', $leads)->assertOk();
        $done = $line->does($asked, 1)->with;
        $this->assertSame($leads, ['red' => $reply->json('scene.red'), 'black' => $reply->json('scene.black')]);
        $other = $done['red'] === $leads['red'] ? $done['black'] : $done['red'];
        $this->assertStringNotContainsString($other, (string) $reply->getContent());
        $this->get("/attempts/$slipped->id")->assertInertia(fn (AssertableInertia $page) => $page->where(
            'now',
            fn ($now): bool => ! str_contains((string) json_encode($now), "\"$other\""),
        )->where('past.meter', []));
        $read = $this->do($slipped, 'read_out')->assertOk();
        $this->assertEquals($done, ['red' => $read->json('scene.red'), 'black' => $read->json('scene.black')]);
        $this->do($slipped, 'name', ['fault' => self::FAULT])->assertOk();
        $this->do($slipped, 'hand_back')->assertOk();
        $mark = $slipped->refresh()->mark;
        $this->assertSame(['safety', 'trace', 'reasoning', 'finding', 'guided'], array_column($mark['lines'], 'id'));
        $guided = array_column($mark['lines'], null, 'id')['guided'];
        $this->assertSame(1, $guided['share'], json_encode($guided));
        $this->assertStringContainsString('found out', json_encode($guided));
        $this->get("/attempts/$slipped->id/debrief")->assertOk();
        $this->assertSame([], app(MarkAttempts::class)->drift($slipped));
        $this->get("/attempts/$slipped->id/debrief.pdf")->assertOk();
    }
}
