<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Bench\Outcome;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

/** Whether the conclusion follows, and whether the trainee knew what his readings meant. */
final readonly class Reasoning implements Judge
{
    private const SHARES = ['proved' => 1.0, 'supported' => 0.7, 'guess' => 0.3, 'contradicted' => 0.0];

    /** Weight of what he took readings to mean and of his own list, where he used them. */
    private const OWN = 0.25;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $names = $account->named();
        if ($names === []) {
            return new Line('reasoning', 0.0, [Line::say(Words::say('marking.reasoning.no_fault_was_named'))]);
        }
        $i = end($names);
        $known = $account->steps[$account->knownAt()]->before;
        $others = implode(
            '; ',
            array_slice(
                array_map(
                    fn (string $id) => $account->title($id),
                    array_diff(array_map(strval(...), array_keys($known->ranked())), array_keys($names)),
                ),
                0,
                3,
            ),
        );
        $more = $known->count() - count($names) - 3;
        $others .= $more > 0 ? Words::say('marking.reasoning.and_more', ['more' => $more]) : '';
        $why = [Line::say(match ($account->verdict()) {
            'proved' => Words::say('marking.reasoning.the_named_fault_is_proved'),
            'supported' => Words::say('marking.reasoning.the_named_fault_is_the', ['others' => $others]),
            'guess' => Words::say('marking.reasoning.a_guess_would_have_shown', ['others' => $others]),
            default => Words::say('marking.reasoning.the_named_fault_was_already'),
        }, $i)];
        $share = self::SHARES[$account->verdict()];
        [$right, $all] = $this->meanings($account, $rules, $why);
        [$fitting, $marks] = $this->list($account, $why);
        $own = $all + $marks;

        return new Line(
            'reasoning',
            $own === 0 ? $share : (1 - self::OWN) * $share + (self::OWN * ($right + $fitting)) / $own,
            $why,
        );
    }

    /**
     * What readings were taken to mean, against what they did mean.
     *
     * @param list<array{text: string, entry: int|null}> $why
     * @return array{int, int} right, and all
     */
    private function meanings(AttemptReview $account, Rules $rules, array &$why): array
    {
        $right = $all = 0;
        $sound = null;
        foreach ($account->entries(['meant']) as $m) {
            $of = $this->meantBy($account, $m);
            if ($of === null) {
                continue;
            }
            $sound ??= $account->sound();
            $all++;
            $said = $account->act($m)->get('meaning');
            [$fits, $text] = $this->meaning($account, $rules, $of, $sound[$of], $said);
            $right += $fits ? 1 : 0;
            if (! $fits) {
                $why[] = Line::say($text, $m);
            }
        }

        return [$right, $all];
    }

    /**
     * @return array{bool, string} whether what was said fits, and what it did mean
     */
    private function meaning(AttemptReview $account, Rules $rules, int $of, Outcome $sound, string $said): array
    {
        $outcome = $account->outcome($of);
        $reading = $outcome->reading;
        $step = $account->steps[$of];
        if ($reading?->mode === Mode::Microamps && ! isset($step->flaws['series']) && abs($reading->value) > 0.05) {
            $good = abs($reading->value) >= $rules->schools->flameUa;

            return [
                $said === ($good ? 'good' : 'bad'),
                Words::say('marking.reasoning.these_rules_take_a_flame', [
                    'flame_ua' => sprintf('%.1f', $rules->schools->flameUa),
                    'reading' => $reading->text(),
                ]),
            ];
        }
        if (array_diff(array_keys($step->flaws), ['chassis', 'floating', 'moment']) !== []) {
            return [
                $said === 'unsure',
                Words::say('marking.reasoning.it_was_called_but_a', ['words' => $said === 'good' ? 'good' : 'bad']),
            ];
        }
        $same = $reading === null
            ? $outcome->seen === $sound->seen
            : $sound->measured !== null && Meter::agrees($reading, $sound->measured->exact);
        $told = $step->gained() > AttemptReview::SETTLED_BITS;

        return match (true) {
            $said === 'unsure' => [! $told, Words::say('marking.reasoning.called_unclear_though_it_ruled')],
            $said === 'good' => [
                $same,
                Words::say('marking.reasoning.called_good_but_a_good'),
            ],
            default => [! $same, Words::say('marking.reasoning.called_bad_but_a_good')],
        };
    }

    /** The reading or look that a meaning was given to. */
    private function meantBy(AttemptReview $account, int $m): ?int
    {
        for ($i = $m - 1; $i >= 0; $i--) {
            if ($account->outcome($i)->reading !== null || $account->outcome($i)->seen !== []) {
                return $i;
            }
        }

        return null;
    }

    /**
     * The trainee's own list against the true one, mark by mark.
     *
     * @param list<array{text: string, entry: int|null}> $why
     * @return array{int, int} right, and all
     */
    private function list(AttemptReview $account, array &$why): array
    {
        $right = $all = 0;
        $marks = [];
        foreach ($account->entries(['suspect']) as $i) {
            $mark = $account->act($i)->get('mark');
            $again = ($marks[$account->act($i)->get('fault')] ?? null) === $mark; // said once more, with a reason
            $marks[$account->act($i)->get('fault')] = $mark;
            if ($mark === 'open' || $again) {
                continue;
            }
            $all++;
            $stands = $account->steps[$i]->before->has($account->act($i)->get('fault'));
            $fits = $stands === ($mark === 'star');
            $right += $fits ? 1 : 0;
            if (! $fits) {
                $why[] = Line::say(
                    $mark === 'out'
                        ? Words::say('marking.reasoning.ruled_out_with_nothing_against')
                        : Words::say('marking.reasoning.starred_though_it_was_already'),
                    $i,
                );
            }
        }

        return [$right, $all];
    }
}
