<?php

namespace Tests\Feature;

use App\Building\DraftEditor;
use App\Models\Course;
use App\Models\PartKind;
use App\Models\RuleSet;
use App\Models\Share;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use OddSpark\Appliance\Library;
use Tests\School;
use Tests\TestCase;

/** Models, kinds of parts and house rules belong to their maker, until he shares them. */
class SharingTest extends TestCase
{
    use RefreshDatabase, School;

    private User $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->other = User::factory()->instructor()->create();
    }

    public function test_a_model_is_its_makers_till_it_is_shared_and_no_longer_than_that(): void
    {
        $this->furnace();
        $draft = app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
        $appliance = app(DraftEditor::class)->publish($draft);
        $sees = fn (): array => [
            $this->actingAs($this->other)->get("/drafts/$draft->id")->isOk(),
            $this->postJson("/drafts/$draft->id/edits", ['upon' => 0, 'edits' => []])->status() !== 404,
            $this->get("/models/$appliance->id")->isOk(),
        ];
        $this->assertSame([false, false, false], $sees());
        $this->get('/drafts')->assertInertia(fn (AssertableInertia $page) => $page->has('drafts', 0));
        $this->get('/models')->assertInertia(fn (AssertableInertia $page) => $page->has('models', 1));
        $give = [
            'appliance' => $appliance->id, 'course' => Course::factory()->create(
                ['instructor_id' => $this->other->id],
            )->id,
            'trainees' => [], 'title' => 'X', 'fault' => 'healthy', 'visit' => 'cold', 'kind' => 'practice', 'complaint' => 'X',
        ];
        $this->postJson('/jobs', $give)->assertJsonValidationErrorFor('appliance');

        $share = fn (?int $course, string $may) => $this->actingAs($this->instructor)->postJson('/shares', [
            'of' => 'model', 'name' => $draft->name, 'course' => $course, 'may' => $may,
        ]);
        $share(null, 'read')->assertRedirect();
        $this->assertSame([true, false, true], $sees());
        $share(null, 'edit')->assertRedirect();
        $this->assertSame([true, true, true], $sees());
        $this->assertSame(1, Share::query()->where('name', $draft->name)->count());
        $share(null, 'nothing')->assertRedirect();
        $this->assertSame([false, false, false], $sees());

        $share($this->course->id, 'read')->assertRedirect();
        $this->assertSame([false, false, false], $sees(), 'teaches not in that class');
        $this->course->staff()->attach($this->other->id, ['part' => 'teaches']);
        $this->assertSame([true, false, true], $sees());
        $share($give['course'], 'read')->assertNotFound();
        $this->actingAs($this->other)->postJson(
            '/shares',
            ['of' => 'model', 'name' => $draft->name, 'may' => 'edit'],
        )->assertNotFound();
        $this->postJson('/shares', ['of' => 'model', 'name' => 'furnace-80', 'may' => 'edit'])->assertNotFound();
    }

    public function test_house_rules_and_kinds_of_others_are_neither_seen_nor_written_over(): void
    {
        $own = ['title' => 'Yard rules'] + RuleSet::query()->where('name', 'journeyman')->firstOrFail()->document;
        $this->actingAs($this->instructor)->postJson(
            '/rules',
            ['document' => $own],
        )->assertRedirect('/rules?set=yard-rules');
        $sets = count(RuleSet::SHIPPED);
        $this->get('/rules')->assertInertia(fn (AssertableInertia $page) => $page->has('sets', $sets + 1));
        $this->actingAs($this->other)->get('/rules')->assertInertia(
            fn (AssertableInertia $page) => $page->has('sets', $sets),
        );
        $this->postJson('/rules', ['document' => $own])->assertUnprocessable()->assertJsonValidationErrorFor('title');
        Share::settle('rules', 'yard-rules', null, Share::EDIT);
        $this->postJson(
            '/rules',
            ['document' => ['name' => 'yard-rules'] + $own],
        )->assertRedirect('/rules?set=yard-rules');
        $this->assertSame(
            [$this->instructor->id, $this->instructor->id],
            RuleSet::query()->where('name', 'yard-rules')->pluck('user_id')->all(),
        );

        $kind = [
            'name' => 'Damper end switch', 'title' => 'damper end switch',
            'terminals' => [['name' => '1', 'edge' => 'up'], ['name' => '2', 'edge' => 'down']],
            'primitives' => ['r' => ['type' => 'resistor', 'between' => ['1', '2'], 'ohm' => 10]],
        ];
        $this->actingAs($this->instructor)->postJson('/kinds', $kind)->assertOk();
        $name = PartKind::query()->sole()->name;
        $this->actingAs($this->other)->get('/kinds')->assertInertia(
            fn (AssertableInertia $page) => $page->has('kinds', 0),
        );
        $this->postJson('/kinds', $kind)->assertUnprocessable();
        $this->assertSame([], PartKind::catalogue($this->other));
        Share::settle('kind', $name, null, Share::READ);
        $this->assertSame([$name], array_keys(PartKind::catalogue($this->other)));
        $this->postJson('/kinds', $kind)->assertUnprocessable();
    }

    public function test_the_newest_version_of_a_set_of_rules_is_asked_for_by_few_queries(): void
    {
        DB::enableQueryLog();
        RuleSet::newest($this->other);
        $this->assertCount(1, DB::getQueryLog());
    }
}
