<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Catalogue;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;

/** Minutes, parts and call-backs against the instructor's budget. */
final readonly class Money implements Judge
{
    public function __construct(private bool $calledBack) {}

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $minutes = $account->seen->until / 60_000;
        $parts = 0;
        foreach ($account->entries(array_keys(Catalogue::all())) as $i) {
            $act = $account->act($i);
            $minutes += $act->minutesOn($account->plan->model);
            $parts += $act->putsIn() ? 1 : 0;
        }
        $calls = $this->calledBack ? 1 : 0;
        $shares = [
            min(1.0, $rules->budget['minutes'] / max(0.1, $minutes)),
            $parts <= $rules->budget['parts'] ? 1.0 : max(0.0, 1 - ($parts - $rules->budget['parts']) / 3),
            $calls <= $rules->budget['call_backs'] ? 1.0 : 0.0,
        ];

        return new Line('money', array_sum($shares) / 3, [
            Line::say(sprintf('%.0f minutes of %.0f.', $minutes, $rules->budget['minutes'])),
            Line::say(
                sprintf(
                    '%d %s replaced, %d in the budget.',
                    $parts,
                    $parts === 1 ? 'part' : 'parts',
                    $rules->budget['parts'],
                ),
            ),
            Line::say($this->calledBack ? 'The customer calls back.' : 'No call-back.'),
        ]);
    }
}
