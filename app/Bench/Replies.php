<?php

namespace App\Bench;

use App\Models\Attempt;
use App\Models\Entry;
use OddSpark\Bench\Bench;
use OddSpark\Bench\WarmUp;
use OddSpark\Run\BenchState;

/**
 * What the browser is told after an act, or after time has gone on: how it stands, and what comes within the horizon.
 */
class Replies
{
    public function __construct(private readonly Attempts $attempts) {}

    /**
     * @return array<string, mixed>
     */
    public function of(Attempt $attempt, Bench $bench, BenchState $state, ?Entry $entry, int $before): array
    {
        $line = $this->attempts->telephone($attempt);
        $now = $state->now();
        $until = $now + $attempt->assignment->kind->horizon() * 1000;
        $passed = Told::after($bench->perceived($now), $before);
        $past = $bench->kept();
        $bench->anew($state);
        $bench->advance($state, $until);
        $ahead = $bench->perceived($until);
        $bench->goOnFrom($past);

        return [
            'entry' => $entry?->shown(),
            'now_s' => $now / 1000,
            'until_s' => $until / 1000,
            'scene' => ($line?->believed($attempt->entries()->get()) ?? []) + Told::scene($bench, $state),
            'passed' => Told::channels($bench, $passed),
            'ahead' => Told::channels($bench, $ahead),
            'handed_back' => ! $attempt->isOpen(),
        ] +
            (! $attempt->assignment->kind->isMarked()
                ? ['tried' => WarmUp::done($this->attempts->observations($attempt->refresh())->entries)]
                : []);
    }
}
