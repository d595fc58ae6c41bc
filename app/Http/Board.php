<?php

namespace App\Http;

use App\Models\Assignment;
use OddSpark\Marking\Rules;

/** The board of a job, as it goes to whoever works it. */
class Board
{
    /**
     * The board with what the house rules let a trainee look up.
     *
     * @return array<string, mixed>
     */
    public static function of(Assignment $assignment): array
    {
        $board = json_decode((string) Assignment::query()->whereKey($assignment->id)->value('board'), true);
        $papers = Rules::of($assignment->rules)->papers;
        if (! in_array('ladder', $papers, true)) {
            unset($board['ladder']);
        }
        if (! in_array('card', $papers, true)) {
            $board['parts'] = array_map(fn (array $part) => ['card' => null] + $part, $board['parts']);
        }

        return $board;
    }
}
