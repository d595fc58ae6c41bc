<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Notes\Report;
use OddSpark\Acts\Safety\Tell;
use OddSpark\Faults\Fault;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;

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
            return new Line('report', 0.0, [Line::say('No closing report was written.')]);
        }
        $i = $entries[count($entries) - 1];
        $wrong = array_filter([
            'cause' => $this->cause($account, $i),
            'done' => $this->done($account, $i),
            'before' => $this->before($account, $i),
            'after' => $this->after($account, $i),
            'told' => $account->entries([Tell::NAME]) === [] ? 'The customer was told nothing.' : null,
            'time' => $this->partsAndTime($account, $i),
        ]);
        $why = array_map(fn (string $text): array => Line::say($text, $i), array_values($wrong));

        return new Line('report', 1 - count($wrong) / 6, $why === [] ? [Line::say('It is as it was.', $i)] : $why);
    }

    /** @return string|null what is wrong with it, in words; likewise the others */
    private function cause(AttemptReview $account, int $i): ?string
    {
        $cause = $account->act($i)->get('cause');
        $isHealthy = $account->fault->id === Fault::HEALTHY;

        return match (true) {
            $cause === null => $isHealthy ? null : 'It names no cause.',
            $account->fault->in($cause) !== null => null,
            default => 'The cause that it names was not the cause.',
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
            $missing !== [] => 'It leaves out work on '.implode(', ', $missing).'.',
            $more !== [] => 'It tells of work that was not done: '.implode(', ', $more).'.',
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
            $j === null || $j >= $i => 'It gives nothing that was read before the work.',
            ! $this->tells($account, $j) => 'What it gives as read before the work is no reading.',
            $j > $first => 'What it gives as read before the work was read after it.',
            ! $isHealthy && $this->isAsSound($account, $j) => 'What it gives as read before shows nothing wrong.',
            default => null,
        };
    }

    private function after(AttemptReview $account, int $i): ?string
    {
        $j = $account->act($i)->get('after');
        $swaps = $account->work();
        $last = $swaps[count($swaps) - 1] ?? -1;

        return match (true) {
            $j === null || $j >= $i => 'It gives nothing that was read after the work.',
            ! $this->tells($account, $j) => 'What it gives as read after the work is no reading.',
            $j < $last => 'What it gives as read after the work was read before it.',
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
            $act->get('parts') !== null && $act->get('parts') !== count($replaced) => sprintf(
                '%d parts were put in, and it says %d.',
                count($replaced),
                $act->get('parts'),
            ),
            $said === null || $act->get('parts') === null => 'It leaves out parts or time.',
            abs($said - $minutes) > max(self::MINUTES, self::TIME * $minutes) => sprintf(
                'It took %d minutes, and it says %d.',
                round($minutes),
                round($said),
            ),
            default => null,
        };
    }
}
