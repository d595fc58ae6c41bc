<?php

// A class hands back at once: twenty-four attempts marked by the workers, from the queue.

declare(strict_types=1);

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Mark;
use App\Models\Role;
use App\Models\Task;
use App\Models\User;

return function (): array {
    $app = require __DIR__.'/../bootstrap/app.php';
    $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
    $done = Attempt::query()->whereNotNull('mark')->orderBy('id')->get();
    $entries = 0;
    $ids = [];
    for ($i = 0; $i < 24; $i++) {
        $like = $done[$i % count($done)];
        $user = User::query()->create([
            'name' => "Bench $i",
            'email' => "bench-$i@demo.example",
            'role' => Role::Trainee,
            'password' => 'copper-lamp',
        ]);
        $attempt = Attempt::query()->create([
            'assignment_id' => $like->assignment_id,
            'user_id' => $user->id,
            'seed' => $like->seed,
            'engine' => Assignment::ENGINE,
            'state' => $like->state,
            'record' => $like->record,
            'handed_back_at' => now(),
        ]);
        foreach ($like->entries as $entry) {
            $attempt->entries()->create($entry->only(['client_id', 'tick', 'act', 'outcome', 'sentence']));
            $entries++;
        }
        $ids[] = $attempt->id;
    }
    $start = hrtime(true);
    foreach ($ids as $id) {
        Task::want(Attempt::query()->findOrFail($id)->user, 'mark', "attempt:$id", ['attempt' => $id]);
    }
    $shares = [];
    do {
        usleep(200_000);
        $left = Attempt::query()->whereKey($ids)->whereNull('mark')->count();
        $shares[] = $left;
        $s = (hrtime(true) - $start) / 1e9;
    } while ($left > 0 && $s < 180);
    Mark::query()->whereIn('attempt_id', $ids)->delete();
    User::query()->where('email', 'like', 'bench-%@demo.example')->delete();

    return [
        '24 attempts marked as queue jobs, s' => [
            'measured' => $s,
            'bar' => 30,
            'notes' => sprintf(
                '%d entries in all, two workers; %d counts of those left on the way',
                $entries,
                count(array_unique($shares)),
            ),
        ],
    ];
};
