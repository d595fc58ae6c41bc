<?php

namespace Tests\Feature;

use App\Auth\SecondFactor;
use App\Auth\Totp;
use App\Models\AuditEntry;
use App\Models\Role;
use App\Models\User;
use App\People\School as SchoolSettled;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A code from an authenticator beside the password: right, used once, lost, and asked of the staff. */
class SecondFactorTest extends TestCase
{
    use RefreshDatabase;

    private const PASSWORD = 'copper-lamp';

    /** @return iterable<string, array{int, string}> seconds since 1970 and the code: RFC 6238, appendix B, SHA-1 */
    public static function vectors(): iterable
    {
        yield '1970' => [59, '94287082'];
        yield '2005' => [1111111109, '07081804'];
        yield '2005, a step on' => [1111111111, '14050471'];
        yield '2009' => [1234567890, '89005924'];
        yield '2033' => [2000000000, '69279037'];
        yield '2603' => [20000000000, '65353130'];
    }

    #[DataProvider('vectors')]
    public function test_codes_are_those_of_the_standard(int $at, string $code): void
    {
        $key = Totp::encoded('12345678901234567890');
        $this->assertSame('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', $key, 'RFC 4648, Base32');
        $this->assertSame($code, Totp::code($key, intdiv($at, 30), 8));
    }

    public function test_a_code_is_good_once_and_for_a_step_before_and_after(): void
    {
        $key = Totp::key();
        $now = 1_800_000_000;
        $step = intdiv($now, 30);
        foreach ([-2 => false, -1 => true, 0 => true, 1 => true, 2 => false] as $off => $good) {
            $this->assertSame(
                $good,
                Totp::step($key, Totp::code($key, $step + $off), 0, $now) !== null,
                "$off steps off",
            );
        }
        $this->assertNull(Totp::step($key, Totp::code($key, $step), $step, $now), 'used already');
        $this->assertNull(Totp::step($key, '', 0, $now));
        $this->assertSame(
            $step,
            Totp::step($key, wordwrap(Totp::code($key, $step), 3, ' ', true), 0, $now),
            'as it is shown',
        );
    }

    public function test_set_up_and_then_asked_for_after_the_password(): void
    {
        $user = User::factory()->instructor()->create();
        [$key, $codes] = $this->setUpFor($user);
        $this->assertCount(SecondFactor::RECOVERY_CODES, array_unique($codes));
        auth()->logout();

        $this->post('/login', ['email' => $user->email, 'password' => self::PASSWORD])->assertRedirect('/login/second');
        $this->assertGuest();
        $this->get('/people')->assertRedirect('/login');
        $this->get('/login/second')->assertOk()->assertInertia(
            fn (AssertableInertia $page) => $page->component('SecondFactor'),
        );
        $this->post('/login/second', ['code' => '000000'])->assertSessionHasErrors('code');
        $this->assertGuest();
        $this->travel(1)->minutes();
        $this->post('/login/second', ['code' => $this->code($key)])->assertRedirect();
        $this->assertAuthenticatedAs($user);
        auth()->logout();
        $this->flushSession();

        $this->post('/login', ['email' => $user->email, 'password' => self::PASSWORD]);
        // seen over a shoulder
        $this->post('/login/second', ['code' => $this->code($key)])->assertSessionHasErrors('code');
        $this->post('/login/second', ['code' => strtoupper($codes[3])])->assertRedirect();
        $this->assertAuthenticatedAs($user);
        auth()->logout();
        $this->flushSession();
        $this->post('/login', ['email' => $user->email, 'password' => self::PASSWORD]);
        $this->post('/login/second', ['code' => $codes[3]])->assertSessionHasErrors('code');
        $this->assertSame(2 + 1, AuditEntry::query()->where('act', 'second factor refused')->count());
    }

    public function test_a_link_for_a_new_password_is_no_way_round_it(): void
    {
        $user = User::factory()->instructor()->create();
        $this->setUpFor($user);
        auth()->logout();
        $this->flushSession();
        $admin = User::factory()->create(['role' => Role::Administrator]);
        $link = $this->actingAs($admin)->withSession(['confirmed_at' => time()])
            ->postJson("/school/people/$user->id/link")->assertOk()->json('link');
        auth()->logout();
        $this->flushSession();
        $this->post($link, ['password' => 'seven grey herons'])->assertRedirect('/login/second');
        $this->assertGuest();
    }

    public function test_guessing_is_slowed_down(): void
    {
        $user = User::factory()->instructor()->create();
        $this->setUpFor($user);
        auth()->logout();
        $this->flushSession();
        $this->post('/login', ['email' => $user->email, 'password' => self::PASSWORD]);
        for ($i = 0; $i < 10; $i++) {
            $this->postJson('/login/second', ['code' => sprintf('%06d', $i)])->assertUnprocessable();
        }
        $this->postJson('/login/second', ['code' => '000011'])->assertTooManyRequests();
    }

    public function test_where_the_school_asks_for_it_staff_gets_no_further_without(): void
    {
        SchoolSettled::settle(['second_factor' => 'asked'] + SchoolSettled::settled());
        $user = User::factory()->instructor()->create();
        $this->post('/login', ['email' => $user->email, 'password' => self::PASSWORD])->assertRedirect();
        $this->get('/people')->assertRedirect('/account');
        $this->get('/account')->assertOk();
        $this->setUpFor($user);
        $this->get('/people')->assertOk();
        $trainee = User::factory()->create();
        $this->post('/logout');
        $this->post('/login', ['email' => $trainee->email, 'password' => self::PASSWORD]);
        $this->get('/')->assertOk();
    }

    public function test_a_trainee_has_none_and_what_is_grave_takes_the_password(): void
    {
        $this->actingAs(User::factory()->create())->withSession(['confirmed_at' => time()]);
        $this->postJson('/account/second-factor')->assertNotFound();
        $this->flushSession();
        $this->actingAs(User::factory()->instructor()->create());
        $this->postJson('/account/second-factor')->assertStatus(423)->assertJsonPath(
            'message',
            'Enter your password again for this.',
        );
        $this->postJson('/account/confirm', ['current_password' => 'wrong'])->assertUnprocessable();
        $this->postJson('/account/second-factor')->assertStatus(423);
        $this->postJson('/account/confirm', ['current_password' => self::PASSWORD])->assertOk();
        $this->postJson('/account/second-factor')->assertOk();
        $this->travel(16)->minutes();
    }

    /** @return array{string, list<string>} its key, and the codes on paper */
    private function setUpFor(User $user): array
    {
        $this->actingAs($user)->withSession(['confirmed_at' => time()]);
        $key = $this->postJson('/account/second-factor')->assertOk()->json('key');
        $this->postJson('/account/second-factor/prove', ['code' => '12'])->assertUnprocessable();
        $this->assertNull($user->fresh()->totp_since, 'not before it is proved');
        $codes = $this->postJson(
            '/account/second-factor/prove',
            ['code' => $this->code($key)],
        )->assertOk()->json('codes');
        $this->assertNotNull($user->fresh()->totp_since);

        return [$key, $codes];
    }

    private function code(string $key): string
    {
        return Totp::code($key, intdiv(now()->getTimestamp(), Totp::STEP_S));
    }
}
