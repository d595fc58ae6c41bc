<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;

/** One line of a mark, read off an account under house rules. */
interface Judge
{
    public function judge(AttemptReview $account, Rules $rules): Line;
}
