<?php

namespace Tests;

use App\Models\Assignment;
use App\Models\Attempt;
use Illuminate\Testing\TestResponse;

/** A trainee at a sheet of questions that are answered by picking. */
trait OnASheet
{
    private function begun(Assignment $job): Attempt
    {
        $this->actingAs($this->trainee)->post("/jobs/$job->id/attempt")->assertRedirect();

        return $job->attempts()->sole();
    }

    private function say(Attempt $attempt, int $item, array $picked): TestResponse
    {
        return $this->actingAs($this->trainee)
            ->postJson("/attempts/$attempt->id/answers", ['item' => $item, 'picked' => $picked]);
    }
}
