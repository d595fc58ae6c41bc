<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Metering\LeaveLogger;
use OddSpark\Acts\Notes\ComeBack;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** What was left to itself for a night with a logger on it, against the best place that one could have been left on. */
final readonly class Night implements Judge
{
    /** Share of the best from which on a place is as good as it. Ours. */
    private const GOOD_ENOUGH = 0.6;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $shares = $why = [];
        foreach ($account->entries([ComeBack::NAME]) as $i) {
            $step = $account->steps[$i];
            $best = $step->night['best'] ?? null;
            if ($best === null || $step->before->entropy() <= AttemptReview::SETTLED_BITS) {
                continue; // there was nothing left to tell, or nothing that would have told it
            }
            $share = min(1.0, ($step->night['told'] ?? 0.0) / (self::GOOD_ENOUGH * $best['bits']));
            $shares[] = $share;
            if ($share < 0.9) {
                $names = [
                    'from' => $account->wording->place($best['from']), 'to' => $account->wording->place($best['to']),
                ];
                $why[] = Line::say(
                    $this->isLogged($account, $i)
                        ? Words::say('marking.night.elsewhere', $names)
                        : Words::say('marking.night.nothing_left', $names),
                    $i,
                );
            }
        }

        return match (true) {
            $shares !== [] => new Line(
                'night',
                array_sum($shares) / count($shares),
                $why === [] ? [Line::say(Words::say('marking.night.told_about_as_much_as_any'))] : $why,
            ),
            in_array($account->verdict(), ['proved', 'supported'], true) => new Line('night', 1.0, [
                Line::say(Words::say('marking.night.was_not_needed')),
            ]),
            default => new Line('night', 0.0, [Line::say(Words::say('marking.night.none'))]),
        };
    }

    /** Whether a logger was on when it was left. */
    private function isLogged(AttemptReview $account, int $i): bool
    {
        $before = array_filter($account->entries([LeaveLogger::NAME]), fn (int $j): bool => $j < $i);

        return $before !== [] && $account->act(max($before))->get('on') !== [];
    }
}
