<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Notes\Report;
use OddSpark\Acts\Safety\Tell;
use OddSpark\Faults\Fault;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** The closing report against the log: cause, work, readings before and after it, customer, parts and time. */
final readonly class ClosingReport implements Judge
{
    /** How far the time may be off: a share of it, and never less than some minutes. Ours. */
    private const TIME = 0.25;

    private const MINUTES = 5.0;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $entries = $account->entries([Report::NAME]);
        if ($entries === []) {
            return new Line(
                'report',
                0.0,
                [Line::say(Words::say('marking.closing_report.no_closing_report_was_written'))],
            );
        }
        $i = $entries[count($entries) - 1];
        $wrong = array_filter([
            'cause' => $this->cause($account, $i),
            'done' => $this->done($account, $i),
            'before' => $this->before($account, $i),
            'after' => $this->after($account, $i),
            'told' => $account->entries([Tell::NAME]) === []
                ? Words::say('marking.closing_report.the_customer_was_told_nothing')
                : null,
            'time' => $this->partsAndTime($account, $i),
        ]);
        $why = array_map(fn (string $text): array => Line::say($text, $i), array_values($wrong));

        return new Line(
            'report',
            1 - count($wrong) / 6,
            $why === [] ? [Line::say(Words::say('marking.closing_report.it_is_as_it_was'), $i)] : $why,
        );
    }

    /** @return string|null what is wrong with it, in words; likewise the others */
    private function cause(AttemptReview $account, int $i): ?string
    {
        $cause = $account->act($i)->get('cause');
        $isHealthy = $account->fault->id === Fault::HEALTHY;

        return match (true) {
            $cause === null => $isHealthy ? null : Words::say('marking.closing_report.it_names_no_cause'),
            $account->fault->in($cause) !== null => null,
            default => Words::say('marking.closing_report.the_cause_that_it_names'),
        };
    }

    private function done(AttemptReview $account, int $i): ?string
    {
        $done = [];
        foreach ($account->work() as $j) {
            if ($j < $i) {
                $done[$account->act($j)->part()] = true;
            }
        }
        unset($done['']);
        $said = array_fill_keys($account->act($i)->get('done') ?? [], true);
        $name = fn (string $part): string => $account->wording->part($part);
        $missing = array_map($name, array_map(strval(...), array_keys(array_diff_key($done, $said))));
        $more = array_map($name, array_map(strval(...), array_keys(array_diff_key($said, $done))));

        return match (true) {
            $missing !== [] => Words::say('marking.closing_report.it_leaves_out_work_on', [
                'missing' => implode(', ', $missing),
            ]),
            $more !== [] => Words::say('marking.closing_report.it_tells_of_work_that', [
                'more' => implode(', ', $more),
            ]),
            default => null,
        };
    }

    /** A reading or a look from before the first repair that a sound appliance would not have shown. */
    private function before(AttemptReview $account, int $i): ?string
    {
        $j = $account->act($i)->get('before');
        $first = $account->work()[0] ?? $i;
        $isHealthy = $account->fault->id === Fault::HEALTHY;

        return match (true) {
            $j === null || $j >= $i => Words::say('marking.closing_report.nothing_read_before'),
            ! $this->tells($account, $j) => Words::say('marking.closing_report.before_is_no_reading'),
            $j > $first => Words::say('marking.closing_report.before_was_read_after'),
            ! $isHealthy && $this->isAsSound($account, $j) => Words::say('marking.closing_report.before_is_sound'),
            default => null,
        };
    }

    private function after(AttemptReview $account, int $i): ?string
    {
        $j = $account->act($i)->get('after');
        $swaps = $account->work();
        $last = $swaps[count($swaps) - 1] ?? -1;

        return match (true) {
            $j === null || $j >= $i => Words::say('marking.closing_report.nothing_read_after'),
            ! $this->tells($account, $j) => Words::say('marking.closing_report.after_is_no_reading'),
            $j < $last => Words::say('marking.closing_report.after_was_read_before'),
            default => null,
        };
    }

    private function tells(AttemptReview $account, int $j): bool
    {
        $outcome = $account->outcome($j);

        return $outcome->refused === null && ($outcome->reading !== null || $outcome->seen !== []);
    }

    private function isAsSound(AttemptReview $account, int $j): bool
    {
        [$shown, $sound] = [$account->outcome($j), $account->sound()[$j]];

        return $shown->seen === $sound->seen && $shown->reading?->text() === $sound->reading?->text();
    }

    private function partsAndTime(AttemptReview $account, int $i): ?string
    {
        $act = $account->act($i);
        $replaced = array_filter(
            $account->work(),
            fn (int $j): bool => $j < $i && $account->act($j)->putsIn(),
        );
        $minutes = 0.0;
        for ($j = 0; $j < $i; $j++) {
            $isDone = $account->outcome($j)->refused === null;
            $minutes += $isDone ? $account->act($j)->minutesOn($account->plan->model) : 0.0;
        }
        $said = $act->get('minutes');

        return match (true) {
            $act->get('parts') !== null && $act->get('parts') !== count($replaced) => Words::say('marking.closing_report.parts_were_put_in_and', [
                'replaced' => count($replaced),
                'parts' => $act->get('parts'),
            ]),
            $said === null || $act->get('parts') === null => Words::say(
                'marking.closing_report.it_leaves_out_parts_or',
            ),
            abs($said - $minutes) > max(self::MINUTES, self::TIME * $minutes) => Words::say(
                'marking.closing_report.wrong_minutes',
                ['minutes' => round($minutes), 'said' => round($said)],
            ),
            default => null,
        };
    }
}
