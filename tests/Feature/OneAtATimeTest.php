<?php

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\School;
use Tests\TestCase;

/** Of one person's requests one is worked on at a time, and there are so many in a minute. */
class OneAtATimeTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
    }

    public function test_of_one_persons_requests_a_few_wait_and_more_are_turned_away(): void
    {
        $turns = [];
        foreach (['pages', ...array_map(fn (int $i) => "pages-$i", range(0, 9))] as $name) {
            $turns[] = $turn = fopen(storage_path("framework/slots/{$this->trainee->id}-$name"), 'c');
            flock($turn, LOCK_EX);
        }
        $this->actingAs($this->trainee)
            ->getJson('/reference')
            ->assertTooManyRequests()
            ->assertHeader('Retry-After', 1)
            ->assertJsonPath('message', 'Too many requests at once. Wait a second, then try again.');
        $this->actingAs($this->classmate)->getJson('/reference')->assertOk();
        array_map(fclose(...), $turns);
        $this->actingAs($this->trainee)->getJson('/reference')->assertOk();
    }

    public function test_a_person_has_so_many_requests_in_a_minute(): void
    {
        $this->travelTo(now()->startOfMinute());
        $this->actingAs($this->trainee)->getJson('/reference')->assertOk();
        $file = storage_path("framework/slots/{$this->trainee->id}-pages");
        $this->assertStringEndsWith(' 000001', (string) file_get_contents($file));
        $this->actingAs($this->trainee)->getJson('/reference')->assertOk();
        $this->assertStringEndsWith(' 000002', (string) file_get_contents($file));

        file_put_contents($file, substr((string) file_get_contents($file), 0, -6).'001200');
        $this->actingAs($this->trainee)->getJson('/reference')->assertTooManyRequests()->assertJsonPath(
            'message',
            'Too many requests in one minute. Wait till it is over, then try again.',
        );
        $this->actingAs($this->classmate)->getJson('/reference')->assertOk();
        $this->travel(1)->minutes();
        $this->actingAs($this->trainee)->getJson('/reference')->assertOk();
    }
}
