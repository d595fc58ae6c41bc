<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\GoodHabits;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** Habits of those who trace well: so many of them are enough, as not every call has room for all. */
final readonly class Habits implements Judge
{
    /** Ours. */
    private const ENOUGH = 3;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $told = (new GoodHabits($account))->told();

        return new Line(
            'habits',
            min(1.0, count($told) / self::ENOUGH),
            $told === [] ? [Line::say(Words::say('marking.habits.the_log_shows_none_of'))] : $told,
        );
    }
}
