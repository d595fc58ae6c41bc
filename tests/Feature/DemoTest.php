<?php

namespace Tests\Feature;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Draft;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use OddSpark\Appliance\Library;
use Tests\TestCase;

class DemoTest extends TestCase
{
    use RefreshDatabase;

    public function test_the_demo_is_a_class_of_eight_with_five_jobs_and_two_attempts_worth_looking_at(): void
    {
        $this->app->make(DemoSeeder::class)->run();
        $this->assertSame(8, User::query()->where('role', User::TRAINEE)->count());
        $this->assertSame(5, Assignment::query()->count());
        $marks = Attempt::query()->whereNotNull('handed_back_at')->get()->pluck('mark.verdict')->sort()->values()->all();
        $this->assertSame(['contradicted', 'proved'], $marks);
        $draft = Draft::query()->sole();
        $this->assertSame([], (new Library())->lacks($draft->content()), 'the model in the making runs');
        $this->assertSame(2, $draft->steps()->distinct()->count('user_id'), 'by two hands');
    }
}
