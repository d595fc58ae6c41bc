<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Faults\Fault;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** Part, way of failing, cause; each fault of a compound by itself. */
final readonly class Finding implements Judge
{
    private const RIGHT_PART = 0.5;

    private const SYMPTOM = 0.3;

    private const WRONG_TOO = 0.25;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $names = $account->named();
        $truth = $account->title($account->fault->id);
        if ($names === []) {
            return new Line('finding', 0.0, [Line::say(Words::say('marking.finding.it_was', ['truth' => $truth]))]);
        }
        $members = $account->fault->members === [] ? [$account->fault] : $account->fault->members;
        $best = array_fill(0, count($members), [0.0, null, '']);
        $wrong = [];
        foreach ($names as $named => $i) {
            if ($account->isSame($named, $account->fault->id) || ! $account->isApart($account->fault->id, $named)) {
                return new Line('finding', 1.0, [Line::say(Words::say('marking.finding.right', [
                    'truth' => $truth,
                ]), $i)]);
            }
            $hit = false;
            foreach ($members as $m => $member) {
                [$share, $text] = $this->against($account, $member, $named);
                $hit = $hit || $share > 0;
                $best[$m] = $share > $best[$m][0] ? [$share, $i, $text] : $best[$m];
            }
            if (! $hit) {
                $wrong[] = $i;
            }
        }
        $why = [];
        foreach ($best as [$share, $i, $text]) {
            if ($i !== null) {
                $why[] = Line::say($text, $i);
            }
        }
        foreach ($wrong as $i) {
            $why[] = Line::say(Words::say('marking.finding.it_was_not_that'), $i);
        }
        $why[] = Line::say(Words::say('marking.finding.it_was', ['truth' => $truth]));
        $share = array_sum(array_column($best, 0)) / count($members);

        return new Line('finding', max(0.0, $share - ($share > 0 ? self::WRONG_TOO * count($wrong) : 0.0)), $why);
    }

    /** @return array{float, string} share, and why */
    private function against(AttemptReview $account, Fault $member, string $named): array
    {
        if ($account->isSame($named, $member->id)) {
            return [1.0, Words::say('marking.finding.one_of_the_faults', ['named' => $account->title($named)])];
        }
        $part = explode(':', $named)[0];

        return match (true) {
            $part === $member->part => [self::RIGHT_PART, Words::say('marking.finding.the_right_part_the_wrong')],
            $account->repairs->isSymptom($part) => [
                self::SYMPTOM,
                Words::say('marking.finding.a_symptom_not_the_cause'),
            ],
            default => [0.0, ''],
        };
    }
}
