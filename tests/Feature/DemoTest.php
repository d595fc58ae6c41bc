<?php

namespace Tests\Feature;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Role;
use App\Models\User;
use App\Support\DemoData;
use App\Support\DemoSchool;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use OddSpark\Appliance\Library;
use Tests\TestCase;

class DemoTest extends TestCase
{
    use RefreshDatabase;

    /** One seeding, which takes a while, and all that is asked of it. */
    public function test_the_demo_grows_from_a_class_of_eight_to_a_school_and_what_is_added_is_known(): void
    {
        $this->app->make(DemoSeeder::class)->run();
        $this->aClassOfEightWithItsJobs();
        DemoData::remember();
        $this->whatIsTheSchoolsOwnIsNamedBeforeItIsLost();
        $this->itGrowsToTwoClassesAndAllOfItIsTheDemos();
    }

    private function aClassOfEightWithItsJobs(): void
    {
        $this->assertSame(8, User::query()->where('role', Role::Trainee)->count());
        $this->assertSame(14, Assignment::query()->count());
        $marks = Attempt::query()
            ->whereNotNull('handed_back_at')
            ->get()
            ->pluck('mark.verdict')
            ->sort()
            ->values()
            ->all();
        $this->assertSame(['contradicted', 'proved'], $marks);
        $draft = Draft::query()->sole();
        $this->assertSame([], (new Library())->lacks($draft->content()), 'the model being built runs');
        $this->assertSame(2, $draft->steps()->distinct()->count('user_id'), 'by two hands');
    }

    private function whatIsTheSchoolsOwnIsNamedBeforeItIsLost(): void
    {
        $this->artisan('demo:load', ['--has' => true])->expectsOutput('yes')->assertSuccessful();
        $this->artisan('demo:load', ['--would-lose' => true])->assertSuccessful();
        $attempt = Attempt::query()->firstOrFail();
        $attempt
            ->entries()
            ->create(['client_id' => 'more', 'tick' => 0, 'act' => [], 'outcome' => [], 'sentence' => '']);
        $this->artisan('demo:load', ['--would-lose' => true])->assertSuccessful(); // play
        $draft = Draft::query()->sole();
        $step = $draft->steps()->create(
            ['number' => 90, 'user_id' => $draft->user_id, 'words' => '', 'document' => ''],
        );
        $person = User::factory()->create();
        $this->artisan('demo:load', ['--would-lose' => true])
            ->expectsOutput('There is more here than demo data: 1 person, 1 edit of a model.')
            ->assertFailed();
        $this->artisan('demo:load', ['--if-empty' => true])->assertSuccessful();
        $this->assertSame(13, User::query()->count());
        $step->delete();
        $person->delete();
    }

    private function itGrowsToTwoClassesAndAllOfItIsTheDemos(): void
    {
        foreach ([1, 2] as $time) { // begun anew after a worker was killed, it makes nothing twice
            app(DemoSchool::class)->grow(fn () => null, 1);
            $this->assertSame(24, User::query()->where('role', Role::Trainee)->count(), "time $time");
            $this->assertSame(2, Course::query()->count());
            $this->assertSame(14 + 2, Assignment::query()->count());
            $this->assertGreaterThan(15, Attempt::query()->whereNotNull('mark')->count());
            $this->assertSame([], DemoData::others());
        }
        $weeks = Assignment::query()->where('title', 'like', '%week 1')->get();
        $this->assertTrue($weeks->every(fn (Assignment $a) => $a->closes_at?->isPast() === true));
        $totals = Attempt::query()->whereIn(
            'assignment_id',
            $weeks->modelKeys(),
        )->get()->map(fn (Attempt $a) => $a->mark['total']);
        $this->assertGreaterThan(2, $totals->unique()->count(), 'people differ');
        User::factory()->create();
        $this->assertSame(['1 person'], DemoData::others());
    }

    public function test_without_a_record_of_the_demo_everything_is_the_schools_own(): void
    {
        User::factory()->create();
        $this->artisan('demo:load', ['--has' => true])->expectsOutput('no');
        $this->artisan('demo:load', ['--would-lose' => true])
            ->expectsOutput('There is more here than demo data: 1 person.')
            ->assertFailed();
    }

    public function test_a_school_of_ones_own_begins_with_an_administrator_and_the_shipped_models(): void
    {
        $this->artisan('shipped:load')->assertSuccessful();
        $this->assertSame(count((new Library())->names()), Appliance::query()->count());
        $staff = fn (string $role, string $mail, string ...$name) => $this->artisan('people:staff', [
            'role' => $role, 'mail' => $mail, 'name' => $name,
        ]);
        $staff('administrator', 'Head@School.example', 'Head', 'of', 'Shop')
            ->expectsOutputToContain('signs in as head@school.example')
            ->expectsOutputToContain('/link/')
            ->assertSuccessful();
        $this->assertTrue(User::query()->where('email', 'head@school.example')->sole()->isAdministrator());
        $staff('instructor', 'head@school.example', 'Again')->expectsOutputToContain('already')->assertFailed();
        $staff('instructor', 'no address', 'X')->assertFailed();
        $staff('trainee', 'x@school.example', 'X')->assertFailed();
        $this->assertSame(1, User::query()->count());
    }
}
