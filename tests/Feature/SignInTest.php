<?php

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Guessing passwords does not get far, and nobody is locked out by another's guesses. */
class SignInTest extends TestCase
{
    use RefreshDatabase;

    private User $tova;

    protected function setUp(): void
    {
        parent::setUp();
        config(['auth.timebox_duration' => 0]); // nothing here goes by how long a refusal takes
        $this->tova = User::factory()->create(['email' => 'tova@demo.example']);
    }

    private function try(string $email, string $password, string $from, array $cookies = []): TestResponse
    {
        $this->flushSession();
        auth()->logout();

        return $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->withCredentials()
            ->withCookies($cookies)
            ->postJson('/login', ['email' => $email, 'password' => $password]);
    }

    public function test_one_address_guesses_a_few_times(): void
    {
        for ($i = 0; $i < 8; $i++) {
            $this->try('tova@demo.example', "guess-$i", '10.0.0.1')->assertUnprocessable();
        }
        $this->try('tova@demo.example', 'guess-9', '10.0.0.1')->assertTooManyRequests();
        $this->try('TOVA@demo.example ', 'copper-lamp', '10.0.0.1')
            ->assertTooManyRequests()
            ->assertJsonPath(
                'errors.email.0',
                'Too many failed sign-ins to this account. Wait 10 minutes, or sign in on a device that you have used before.',
            );
        $this->travel(11)->minutes();
        $this->try('tova@demo.example', 'copper-lamp', '10.0.0.1')->assertRedirect('/');
    }

    public function test_forty_addresses_get_no_further_than_one(): void
    {
        $looked = 0;
        for ($i = 0; $i < 400; $i++) {
            $looked += $this->try('tova@demo.example', "guess-$i", '10.0.1.'.($i % 40))->status() === 422 ? 1 : 0;
        }
        $this->assertLessThanOrEqual(20, $looked);
    }

    public function test_one_password_at_many_accounts_from_one_address_gets_few_tries_at_each(): void
    {
        for ($round = 0; $round < 8; $round++) {
            for ($i = 0; $i < 20; $i++) {
                $status = $this->try("trainee-$i@demo.example", "spring-$round", '10.0.2.1')->status();
            }
        }
        $this->assertSame(429, $status);
    }

    public function test_a_classmate_at_the_same_address_is_not_locked_out(): void
    {
        for ($i = 0; $i < 200; $i++) {
            $this->try('wendell'.($i % 25).'@demo.example', "guess-$i", '10.0.3.1');
        }
        $this->try('tova@demo.example', 'a slip', '10.0.3.1')->assertUnprocessable();
        $this->try('tova@demo.example', 'copper-lamp', '10.0.3.1')->assertRedirect('/');
    }

    public function test_a_device_that_was_used_before_is_not_locked_out_by_a_stranger(): void
    {
        $cookie = $this->try('tova@demo.example', 'copper-lamp', '10.0.4.1')
            ->assertRedirect('/')
            ->getCookie('known_device');
        for ($i = 0; $i < 60; $i++) {
            $this->try('tova@demo.example', "guess-$i", '10.0.4.'.($i % 30));
        }
        $this->try('tova@demo.example', 'copper-lamp', '10.0.4.1')->assertTooManyRequests();
        $this->try('tova@demo.example', 'copper-lamp', '10.0.4.1', [
            'known_device' => $cookie->getValue(),
        ])->assertRedirect('/');
        $other = User::factory()->create(['email' => 'other@demo.example']);
        for ($i = 0; $i < 25; $i++) {
            $last = $this->try($other->email, "guess-$i", '10.0.5.'.$i, ['known_device' => $cookie->getValue()]);
        }
        $last->assertTooManyRequests();
    }
}
