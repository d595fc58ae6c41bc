<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Act;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Acts\Perceiving\ReadOut;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/**
 * How a customer was guided who holds the meter: what he did otherwise than he was asked is found out before anything
 * rests on it, and he is never sent to line voltage.
 */
final readonly class Guided implements Judge
{
    /** What is for finding out; the rest is for keeping him from line voltage. Ours. */
    private const FOUND_OUT = 0.6;

    /** @param array<int, Act> $asked what he was asked, by entry, where he did something else */
    public function __construct(private array $asked) {}

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $found = 0;
        $why = [];
        foreach ($this->asked as $i => $asked) {
            $isFound = $this->isFoundOut($account, $i);
            $found += $isFound ? 1 : 0;
            $said = ['asked' => $account->wording->act($asked), 'done' => $account->wording->act($account->act($i))];
            $why[] = Line::say($isFound
                ? Words::say('marking.guided.found_out', ['asked' => $said['asked']])
                : Words::say('marking.guided.not_found_out', $said), $i);
        }
        $sent = array_keys(array_filter(
            $account->seen->entries,
            fn (array $entry): bool => in_array('customer-live', $entry[1]->dangers, true),
        ));
        foreach ($sent as $i) {
            $why[] = Line::say(Words::say('marking.guided.sent_to_line_voltage'), $i);
        }
        $share = $this->asked === [] ? 1.0 : $found / count($this->asked);

        return new Line(
            'guided',
            self::FOUND_OUT * $share + ($sent === [] ? 1 - self::FOUND_OUT : 0.0),
            $why === [] ? [Line::say(Words::say('marking.guided.did_as_asked'))] : $why,
        );
    }

    /** Whether he read out how his meter was before its leads or its dial were moved once more, or it was named. */
    private function isFoundOut(AttemptReview $account, int $i): bool
    {
        $moved = $account->act($i) instanceof Leads ? [Leads::NAME] : ['dial'];
        for ($j = $i + 1; $j < count($account->seen->entries); $j++) {
            $name = $account->act($j)->name;
            if ($name === ReadOut::NAME) {
                return true;
            }
            if (in_array($name, [...$moved, 'name', 'hand_back'], true) && $account->outcome($j)->refused === null) {
                return false;
            }
        }

        return false;
    }
}
