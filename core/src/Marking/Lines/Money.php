<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Catalogue;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

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
            Line::say(Words::say('marking.money.minutes_of', [
                'minutes' => sprintf('%.0f', $minutes),
                'minutes_2' => sprintf('%.0f', $rules->budget['minutes']),
            ])),
            Line::say(
                Words::say('marking.money.replaced_in_the_budget', [
                    'parts' => $parts,
                    'words' => $parts === 1 ? 'part' : 'parts',
                    'parts_2' => $rules->budget['parts'],
                ]),
            ),
            Line::say(
                $this->calledBack
                    ? Words::say('marking.money.the_customer_calls_back')
                    : Words::say('marking.money.no_call_back'),
            ),
        ]);
    }
}
