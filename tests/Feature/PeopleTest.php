<?php

namespace Tests\Feature;

use App\Models\AccessLink;
use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Role;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\School;
use Tests\TestCase;

/** Classes of one's own: who comes in, how, and who may do what to whom. */
class PeopleTest extends TestCase
{
    use RefreshDatabase, School;

    private const PASSWORD = 'seven grey herons';

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    public function test_a_class_is_made_and_a_list_of_people_comes_into_it_with_a_link_each(): void
    {
        $this->actingAs($this->instructor)->post('/courses', ['name' => 'Day class'])->assertRedirect('/people');
        $course = Course::query()->where('name', 'Day class')->sole();
        $csv = "Mail;Name\nannika@school.example;Annika\n;Heron\n;Heron\n";
        $rows = $this->postJson("/courses/$course->id/roster/preview", ['csv' => $csv])->assertOk()->json('rows');
        $this->assertSame([null, null, null], array_column($rows, 'error'));
        $this->assertSame(['Annika', 'Heron', 'Heron'], array_column($rows, 'name'));
        $this->assertSame(0, $course->trainees()->count(), 'looked over, and nobody added');

        $people = $this->postJson("/courses/$course->id/roster", ['csv' => $csv])->assertOk()->json('people');
        $this->assertCount(3, $people);
        $this->assertSame('annika@school.example', $people[0]['signs_in_as']);
        $this->assertNotSame($people[1]['signs_in_as'], $people[2]['signs_in_as']);
        $this->get('/people')->assertInertia(
            fn (AssertableInertia $page) => $page->component('People')->has('courses', 2),
        );

        auth()->logout();
        $link = $people[1]['link'];
        $this->get($link)->assertInertia(fn (AssertableInertia $page) => $page->where('who.name', 'Heron'));
        $this->postJson($link, ['password' => 'short'])->assertUnprocessable();
        $this->post($link, ['password' => self::PASSWORD])->assertRedirect('/');
        $this->assertAuthenticatedAs(User::query()->where('email', $people[1]['signs_in_as'])->sole());
        auth()->logout();
        $this->get($link)->assertInertia(fn (AssertableInertia $page) => $page->where('who', null));
        $this->postJson($link, ['password' => self::PASSWORD])->assertUnprocessable();
        $this->post(
            '/login',
            ['email' => $people[1]['signs_in_as'], 'password' => self::PASSWORD],
        )->assertRedirect('/');
    }

    /** @return iterable<string, array{string, int, string}> list, line, what is said of it */
    public static function wrongLists(): iterable
    {
        yield 'no name' => ["name,mail\nAnnika,\n,bo@school.example\n", 3, 'There is no name.'];
        yield 'no address' => ["Annika,annika at school\n", 1, 'is no mail address'];
        yield 'twice' => ["A,a@school.example\nB,A@school.example\n", 2, 'stands in line 1'];
        yield 'taken' => ["A,a@school.example\nB,taken@school.example\n", 2, 'signs in with that address already'];
        yield 'long' => [str_repeat('n', 121)."\n", 1, 'longer than 120'];
    }

    #[DataProvider('wrongLists')]
    public function test_of_a_list_with_a_mistake_nobody_is_added_and_the_line_is_named(
        string $csv,
        int $line,
        string $says,
    ): void {
        User::factory()->create(['email' => 'taken@school.example']);
        $rows = $this->actingAs($this->instructor)
            ->postJson("/courses/{$this->course->id}/roster/preview", ['csv' => $csv])
            ->assertOk()
            ->json('rows');
        $this->assertStringContainsString($says, array_column($rows, 'error', 'line')[$line]);
        $before = User::query()->count();
        $this->postJson("/courses/{$this->course->id}/roster", ['csv' => $csv])
            ->assertUnprocessable()
            ->assertJsonPath('errors.csv.0', fn (string $text) => str_contains($text, "Line $line"));
        $this->assertSame($before, User::query()->count());
    }

    public function test_a_list_is_taken_back_but_for_those_who_have_come(): void
    {
        $to = "/courses/{$this->course->id}/roster";
        $made = $this->actingAs($this->instructor)->postJson($to, ['csv' => "One\nTwo\nThree\n"])->json();
        auth()->logout();
        $this->post($made['people'][0]['link'], ['password' => self::PASSWORD]);
        $this->actingAs(User::factory()->instructor()->create())
            ->postJson("$to/undo", ['batch' => $made['batch']])
            ->assertNotFound();
        $this->actingAs($this->instructor)
            ->postJson("$to/undo", ['batch' => $made['batch']])
            ->assertOk()
            ->assertJsonPath('people', 2);
        $names = $this->course->trainees()->pluck('name');
        $this->assertContains('One', $names);
        $this->assertNotContains('Two', $names);
    }

    public function test_a_code_lets_people_in_until_it_expires_or_is_closed(): void
    {
        $this->actingAs($this->instructor)->post("/courses/{$this->course->id}/code", ['days' => 7]);
        $code = $this->course->refresh()->join_code;
        auth()->logout();
        $join = fn (string $name, string $with): array => [
            'code' => $with, 'name' => $name, 'mail' => '', 'password' => self::PASSWORD,
        ];
        $typed = strtolower(substr($code, 0, 4).'-'.substr($code, 4));
        $this->post('/join', $join('Wren', $typed))->assertRedirect('/');
        $this->assertContains('Wren', $this->course->trainees()->pluck('name'));
        $this->assertSame(Role::Trainee, User::query()->where('name', 'Wren')->sole()->role);
        auth()->logout();
        $this->travel(8)->days();
        $this->postJson('/join', $join('Late', $code))->assertUnprocessable()->assertJsonValidationErrors('code');
        $this->travelBack();
        $this->actingAs($this->instructor)->delete("/courses/{$this->course->id}/code")->assertRedirect('/people');
        auth()->logout();
        $this->postJson('/join', $join('Later', $code))->assertUnprocessable();
        $this->postJson('/join', $join('Nobody', ''))->assertUnprocessable();
    }

    public function test_whoever_has_an_account_joins_one_more_class_with_its_code_and_instructors_do_not(): void
    {
        $other = Course::factory()->create();
        $this->actingAs($other->instructor)->post("/courses/$other->id/code", ['days' => 1]);
        $code = $other->refresh()->join_code;
        $this->actingAs($this->trainee)->post('/account/join', ['code' => $code])->assertRedirect('/account');
        $this->assertContains($this->trainee->id, $other->trainees()->pluck('users.id'));
        // who is in a class gets new links from its instructor: no instructor may come under another so
        $this->actingAs($this->instructor)->postJson('/account/join', ['code' => $code])->assertNotFound();
    }

    public function test_another_instructor_neither_sees_nor_changes_a_class(): void
    {
        $other = User::factory()->instructor()->create();
        $this->actingAs($other)->get('/people')->assertInertia(
            fn (AssertableInertia $page) => $page->has('courses', 0),
        );
        $at = "/courses/{$this->course->id}";
        foreach ([
            ['POST', $at, ['name' => 'Mine']],
            ['POST', "$at/code", ['days' => 1]],
            ['DELETE', "$at/code", []],
            ['POST', "$at/roster/preview", ['csv' => 'A']],
            ['POST', "$at/roster", ['csv' => 'A']],
            ['POST', "$at/trainees/{$this->trainee->id}/link", []],
            ['DELETE', "$at/trainees/{$this->trainee->id}", []],
        ] as [$method, $uri, $body]) {
            $this->json($method, $uri, $body)->assertNotFound();
            $this->actingAs($this->trainee)->json($method, $uri, $body)->assertNotFound();
            $this->actingAs($other);
        }
        $this->assertNotSame('Mine', $this->course->refresh()->name);
    }

    public function test_a_link_is_for_trainees_of_the_class_only_and_puts_those_before_out_of_use(): void
    {
        $stranger = User::factory()->create();
        $at = "/courses/{$this->course->id}/trainees";
        $this->actingAs($this->instructor)->withSession(['confirmed_at' => time()]);
        $this->postJson("$at/$stranger->id/link")->assertNotFound();
        $colleague = User::factory()->instructor()->create();
        $this->course->trainees()->attach($colleague->id);
        $this->postJson("$at/$colleague->id/link")->assertNotFound();

        $first = $this->postJson("$at/{$this->trainee->id}/link")->assertOk()->json('link');
        $second = $this->postJson("$at/{$this->trainee->id}/link")->assertOk()->json('link');
        $this->assertFalse(
            DB::table('access_links')->where('token_hash', basename($second))->exists(),
            'kept as a hash',
        );
        auth()->logout();
        $this->postJson($first, ['password' => self::PASSWORD])->assertUnprocessable();
        $this->travel(AccessLink::DAYS + 1)->days();
        $this->postJson($second, ['password' => self::PASSWORD])->assertUnprocessable();
        $this->travelBack();
        DB::table('sessions')->insert(
            ['id' => 'old', 'user_id' => $this->trainee->id, 'payload' => '', 'last_activity' => 0],
        );
        $this->post($second, ['password' => self::PASSWORD])->assertRedirect('/');
        $this->assertFalse(DB::table('sessions')->where('id', 'old')->exists(), 'whoever had the old password is out');
    }

    public function test_a_whole_class_comes_in_from_one_address_and_a_password_is_not_guessed_at_a_seat(): void
    {
        $to = "/courses/{$this->course->id}/roster";
        $csv = implode("\n", array_map(fn (int $i) => "Trainee $i", range(1, 40)));
        $people = $this->actingAs($this->instructor)->postJson($to, ['csv' => $csv])->json('people');
        auth()->logout();
        foreach ($people as $person) {
            $this->get($person['link'])->assertOk();
            $this->post($person['link'], ['password' => self::PASSWORD])->assertRedirect('/');
            auth()->logout();
        }
        $this->actingAs($this->trainee);
        $guess = ['current_password' => 'guess', 'password' => self::PASSWORD];
        for ($i = 0; $i < 10; $i++) {
            $this->postJson('/account/password', $guess)->assertUnprocessable();
        }
        $this->postJson('/account/password', $guess)->assertTooManyRequests();
    }

    public function test_who_is_removed_keeps_what_was_done_and_leaves_the_class(): void
    {
        $job = $this->give();
        $attempt = $this->begin($job);
        $notBegun = $this->give('igniter:cracked');
        $at = "/courses/{$this->course->id}/trainees/{$this->trainee->id}";
        $this->actingAs($this->instructor)->delete($at)->assertRedirect('/people');
        $this->assertNotContains($this->trainee->id, $this->course->trainees()->pluck('users.id'));
        $this->assertTrue($attempt->refresh()->exists);
        $this->actingAs($this->trainee)->post("/jobs/$notBegun->id/attempt")->assertNotFound();
        $this->post("/jobs/$job->id/attempt")->assertRedirect("/attempts/$attempt->id");
        $this->actingAs($this->instructor);
        $this->deleteJson($at)->assertNotFound();
    }

    public function test_a_password_is_changed_with_the_old_one_and_ends_the_other_sessions(): void
    {
        $this->actingAs($this->trainee)->get('/account')->assertOk();
        DB::table('sessions')->insert(
            ['id' => 'far', 'user_id' => $this->trainee->id, 'payload' => '', 'last_activity' => 0],
        );
        DB::table('sessions')->insert(
            ['id' => 'other', 'user_id' => $this->classmate->id, 'payload' => '', 'last_activity' => 0],
        );
        $change = fn (string $now, string $new): array => ['current_password' => $now, 'password' => $new];
        $this->postJson('/account/password', $change('wrong', self::PASSWORD))
            ->assertUnprocessable()
            ->assertJsonValidationErrors('current_password');
        $this->postJson('/account/password', $change('copper-lamp', 'password1234'))
            ->assertUnprocessable()
            ->assertJsonValidationErrors('password');
        $this->assertTrue(DB::table('sessions')->where('id', 'far')->exists());
        $this->post('/account/password', $change('copper-lamp', self::PASSWORD))->assertRedirect('/account');
        $this->assertSame(['other'], DB::table('sessions')->whereIn('id', ['far', 'other'])->pluck('id')->all());
        $this->postJson('/account/sign-out-elsewhere', ['current_password' => 'no'])->assertUnprocessable();
        $this->post('/account/sign-out-elsewhere', ['current_password' => self::PASSWORD])->assertRedirect('/account');
        auth()->logout();
        $this->postJson(
            '/login',
            ['email' => $this->trainee->email, 'password' => 'copper-lamp'],
        )->assertUnprocessable();
    }

    public function test_what_was_done_to_people_is_kept_by_ids_and_cannot_be_changed(): void
    {
        $this->actingAs($this->instructor)->postJson("/courses/{$this->course->id}/roster", ['csv' => 'Heron']);
        $entry = AuditEntry::query()->latest('id')->first();
        $this->assertSame(['enrol', 'courses', $this->course->id], [$entry->act, $entry->of, $entry->of_id]);
        $this->assertStringNotContainsString('Heron', $entry->toJson());
        foreach ([
            fn () => DB::table('audit_entries')->where('id', $entry->id)->update(['act' => 'nothing']),
            fn () => DB::table('audit_entries')->where('id', $entry->id)->delete(),
        ] as $change) {
            try {
                $change();
                $this->fail('The audit log was changed.');
            } catch (QueryException $e) {
                $this->assertStringContainsString('can only be added to', $e->getMessage());
            }
        }
    }
}
