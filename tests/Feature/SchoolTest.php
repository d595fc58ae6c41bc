<?php

namespace Tests\Feature;

use App\Mail\AccessMail;
use App\Mail\ChangeMail;
use App\Models\AuditEntry;
use App\Models\Role;
use App\Models\User;
use App\People\Persons;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Inertia\Testing\AssertableInertia;
use Tests\School;
use Tests\TestCase;

/** What an administrator looks after, what he cannot do by mistake, and what others cannot. */
class SchoolTest extends TestCase
{
    use RefreshDatabase, School;

    private User $administrator;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->administrator = User::factory()->create(['role' => Role::Administrator]);
        $this->actingAs($this->administrator)->withSession(['confirmed_at' => time()]);
    }

    public function test_staff_is_added_by_a_link_that_is_mailed_where_mail_is_configured(): void
    {
        Mail::fake();
        $who = ['name' => 'Rowan', 'mail' => ' Rowan@School.example', 'role' => 'assessor'];
        $link = $this->postJson('/school/people', $who)->assertOk()->json('link');
        Mail::assertNothingQueued();
        config(['spark.mail' => true]);
        $this->postJson('/school/people', ['mail' => 'linden@school.example'] + $who)->assertOk();
        Mail::assertQueued(
            AccessMail::class,
            fn (AccessMail $mail) => $mail->hasTo('linden@school.example') && str_contains($mail->render(), '/link/'),
        );
        $this->postJson('/school/people', $who)->assertUnprocessable();
        auth()->logout();
        $this->flushSession();
        $this->post($link, ['password' => 'seven grey herons'])->assertRedirect();
        $this->get('/')->assertRedirect('/assess');
        $this->get('/assess')->assertInertia(
            fn (AssertableInertia $page) => $page->component('Assess')->has('courses', 0),
        );
    }

    public function test_a_forgotten_password_is_mailed_and_nobody_learns_who_has_an_account(): void
    {
        Mail::fake();
        auth()->logout();
        $this->post('/forgot', ['email' => $this->trainee->email])->assertNotFound();
        config(['spark.mail' => true]);
        $known = $this->post('/forgot', ['email' => $this->trainee->email])->assertRedirect('/login');
        $unknown = $this->post('/forgot', ['email' => 'nobody@school.example'])->assertRedirect('/login');
        $this->assertSame($known->getSession()->get('flash'), $unknown->getSession()->get('flash'));
        Mail::assertQueued(AccessMail::class, 1);
        for ($i = 0; $i < 6; $i++) {
            $last = $this->post('/forgot', ['email' => $this->trainee->email]);
        }
        $last->assertTooManyRequests();
        Mail::assertQueued(AccessMail::class, 3); // the first try, when none was mailed, counted too
    }

    public function test_roles_change_but_the_last_administrator_stays(): void
    {
        $this->postJson(
            "/school/people/{$this->administrator->id}/role",
            ['role' => 'instructor'],
        )->assertUnprocessable();
        $this->postJson("/school/people/{$this->administrator->id}/closed", ['closed' => true])->assertUnprocessable();
        $other = User::factory()->instructor()->create();
        $this->post("/school/people/$other->id/role", ['role' => 'administrator'])->assertSessionHasNoErrors();
        $this->post(
            "/school/people/{$this->administrator->id}/role",
            ['role' => 'instructor'],
        )->assertSessionHasNoErrors();
        $this->actingAs($this->administrator->fresh())->get('/school')->assertNotFound();
        $this->actingAs($other->fresh())->postJson(
            "/school/people/{$this->instructor->id}/role",
            ['role' => 'assessor'],
        )
            ->assertUnprocessable(); // leads a class
        $this->postJson("/school/people/{$this->trainee->id}/role", ['role' => 'instructor'])->assertUnprocessable();
    }

    public function test_a_closed_account_is_out_at_once_and_comes_in_no_more(): void
    {
        $this->post("/school/people/{$this->trainee->id}/closed", ['closed' => true])->assertSessionHasNoErrors();
        $this->actingAs($this->trainee->fresh())->get('/')->assertRedirect('/login');
        $this->post(
            '/login',
            ['email' => $this->trainee->email, 'password' => 'copper-lamp'],
        )->assertSessionHasErrors('email');
        $this->assertGuest();
        $this->actingAs($this->administrator)->withSession(['confirmed_at' => time()])
            ->post("/school/people/{$this->trainee->id}/closed", ['closed' => false]);
        auth()->logout();
        $this->post('/login', ['email' => $this->trainee->email, 'password' => 'copper-lamp'])->assertRedirect('/');
    }

    public function test_a_name_is_forgotten_and_the_marks_stay_or_all_goes(): void
    {
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $this->actingAs($this->administrator)->withSession(['confirmed_at' => time()]);
        $data = $this->get("/school/people/{$this->trainee->id}/data.json")->assertOk();
        $data->assertJsonPath('account.name', $this->trainee->name)->assertJsonCount(1, 'jobs');
        $this->assertSame('hand_back', $data->json('jobs.0.entries.0.act.act'));

        $this->post("/school/people/{$this->trainee->id}/forget", ['keep_marks' => true])->assertRedirect('/school');
        $left = $this->trainee->fresh();
        $this->assertSame("Former trainee $left->id", $left->name);
        $this->assertSame(1, $left->attempts()->count());
        $mail = $this->trainee->email;
        foreach (['users' => 'email', 'sessions' => 'payload', 'tasks' => 'payload'] as $table => $column) {
            $this->assertSame(0, DB::table($table)->where($column, 'like', "%$mail%")->count(), $table);
        }
        $this->post("/school/people/{$this->trainee->id}/forget", ['keep_marks' => false])->assertRedirect('/school');
        $this->assertNull($this->trainee->fresh());
        $this->assertNull($attempt->fresh());
        $this->assertSame(['forget name', 'delete person'], AuditEntry::query()
            ->where('of', 'users')->where('of_id', $left->id)->whereIn('act', ['forget name', 'delete person'])->pluck('act')->all());
    }

    public function test_who_leads_a_class_hands_it_over_before_he_goes(): void
    {
        $this->postJson("/school/people/{$this->instructor->id}/forget", ['keep_marks' => true])->assertUnprocessable();
        $other = User::factory()->instructor()->create();
        $this->post("/school/courses/{$this->course->id}/lead", ['user' => $this->trainee->id])->assertNotFound();
        $this->post("/school/courses/{$this->course->id}/lead", ['user' => $other->id])->assertSessionHasNoErrors();
        $this->assertSame($other->id, $this->course->fresh()->instructor_id);
        $this->post("/school/people/{$this->instructor->id}/forget", ['keep_marks' => true])->assertRedirect('/school');
        $this->assertNotNull($this->instructor->fresh()->closed_at);
    }

    public function test_names_go_when_their_time_is_over(): void
    {
        DB::table('users')->where('id', $this->trainee->id)->update(
            ['seen_at' => now()->subMonths(20), 'created_at' => now()->subYears(3)],
        );
        DB::table('users')->where('id', $this->classmate->id)->update(
            ['seen_at' => now()->subMonths(5), 'created_at' => now()->subYears(3)],
        );
        $this->assertSame(1, Persons::forgetOld(12));
        $this->assertStringStartsWith('Former trainee', $this->trainee->fresh()->name);
        $this->assertSame($this->classmate->name, $this->classmate->fresh()->name);
        $this->assertSame(0, Persons::forgetOld(12), 'once');
    }

    public function test_whoever_does_nothing_is_signed_out_by_his_role(): void
    {
        auth()->logout();
        $this->flushSession();
        $this->actingAs($this->administrator)->withSession(['confirmed_at' => time()]);
        $this->post('/school/settled', [
            'second_factor' => 'offered', 'keep_months' => 24,
            'idle_minutes' => ['administrator' => 10, 'instructor' => 20, 'assessor' => 20, 'trainee' => 90],
        ])->assertSessionHasNoErrors();
        $this->postJson('/school/settled', [
            'second_factor' => 'offered', 'keep_months' => 24,
            'idle_minutes' => ['administrator' => 1, 'instructor' => 20, 'assessor' => 20, 'trainee' => 90],
        ])->assertUnprocessable();
        auth()->logout();
        $this->flushSession();
        $this->post('/login', ['email' => $this->instructor->email, 'password' => 'copper-lamp']);
        $this->assertSame(20 * 60, session('idle_s'));
        $this->withSession(['seen_at' => time() - 19 * 60])->get('/people')->assertOk();
        $this->withSession(['seen_at' => time() - 21 * 60])->get('/people')->assertRedirect('/login');
        $this->assertGuest();
        $this->get('/login')->assertInertia(
            fn (AssertableInertia $page) => $page->where(
                'flash',
                'You were signed out, since nothing was done for 20 minutes.',
            ),
        );
    }

    public function test_whoever_is_signed_in_for_half_a_day_signs_in_again_and_both_are_in_the_audit_log(): void
    {
        auth()->logout();
        $this->flushSession();
        $this->post('/login', ['email' => $this->trainee->email, 'password' => 'wrong']);
        $this->post('/login', ['email' => 'nobody@school.example', 'password' => 'wrong']);
        $this->post('/login', ['email' => $this->trainee->email, 'password' => 'copper-lamp']);
        $this->assertSame(
            [['sign-in refused', $this->trainee->id], ['sign-in refused', null], ['sign in', $this->trainee->id]],
            AuditEntry::query()->orderBy('id')->get()->map(fn (AuditEntry $e) => [$e->act, $e->of_id])->all(),
        );
        $this->withSession(['signed_in_at' => time() - 13 * 3600])->get('/')->assertRedirect('/login');
        $this->assertGuest();
    }

    public function test_a_changed_password_is_told_by_mail(): void
    {
        Mail::fake();
        config(['spark.mail' => true]);
        $this->actingAs($this->trainee)->post(
            '/account/password',
            ['current_password' => 'copper-lamp', 'password' => 'seven grey herons'],
        )
            ->assertSessionHasNoErrors();
        Mail::assertQueued(
            ChangeMail::class,
            fn (ChangeMail $mail) => str_contains($mail->render(), 'Your password was changed.'),
        );
    }

    public function test_the_audit_log_is_read_and_exported_with_numbers_and_no_names(): void
    {
        $this->post("/school/people/{$this->trainee->id}/closed", ['closed' => true]);
        $csv = $this->get('/school/audit.csv')->assertOk()->getContent();
        $this->assertStringContainsString('close account', $csv);
        $this->assertStringNotContainsString($this->trainee->name, $csv);
        $this->assertStringNotContainsString($this->trainee->email, $csv);
        $this->get('/school')->assertInertia(
            fn (AssertableInertia $page) => $page->where('audit.0.act', 'export audit log'),
        );
    }

    public function test_a_colleague_teaches_and_an_assessor_marks_in_the_class_and_nothing_else(): void
    {
        $colleague = User::factory()->instructor()->create();
        $assessor = User::factory()->create(['role' => Role::Assessor]);
        $job = $this->give();
        $attempt = $this->begin($job);
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $add = fn (User $user, string $part) => $this->actingAs($this->instructor)->withSession(
            ['confirmed_at' => time()],
        )
            ->postJson("/courses/{$this->course->id}/staff", ['user' => $user->id, 'part' => $part]);
        $add($assessor, 'teaches')->assertUnprocessable();
        $add($this->trainee, 'marks')->assertNotFound();
        foreach ([[$colleague, 'teaches'], [$assessor, 'marks']] as [$who, $part]) {
            $this->actingAs($who)->get("/jobs/$job->id")->assertNotFound();
            $add($who, $part)->assertRedirect('/people');
            $this->actingAs($who)->get("/jobs/$job->id")->assertOk();
            $this->get("/courses/{$this->course->id}/record")->assertOk();
            $this->get("/attempts/$attempt->id/debrief")->assertOk();
            $this->postJson(
                "/attempts/$attempt->id/overrides",
                ['line' => 'none', 'points' => 0, 'reason' => 'x'],
            )->assertUnprocessable();
        }
        $this->actingAs($colleague)->postJson("/jobs/$job->id/window", [])->assertRedirect();
        $this->postJson("/courses/{$this->course->id}/staff", [])->assertNotFound();
        $this->actingAs($assessor)->postJson("/jobs/$job->id/window", [])->assertNotFound();
        $this->postJson("/jobs/$job->id/marks", [])->assertNotFound();
        $this->get('/models')->assertNotFound();
        $this->get('/people')->assertNotFound();
        $this->post("/jobs/$job->id/attempt")->assertNotFound();
        $this->actingAs($this->instructor)->delete(
            "/courses/{$this->course->id}/staff/$assessor->id",
        )->assertRedirect('/people');
        $this->actingAs($assessor)->get("/jobs/$job->id")->assertNotFound();
    }
}
