<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Quality;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Feeds;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Marking\Standing;
use OddSpark\Words\Words;

/** What was asked, against the best that could then have been asked. */
final readonly class Trace implements Judge
{
    /** Share of the best from which on a reading is as good as it. Ours. */
    private const GOOD_ENOUGH = 0.6;

    /** So many readings more than were needed, and half of all, are no trace but a sweep. Ours. */
    private const SWEEP = 12;

    private const SWEPT_SHARE = 0.5;

    private const TO_CONFIRM = 6;

    /** Questions not asked that are counted at most. Ours. */
    private const MISSING = 3;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $asked = self::questions($account);
        $why = [];
        foreach ($asked as $i => $share) {
            $step = $account->steps[$i];
            if ($share < 0.9 && $step->best === []) {
                $why[] = Line::say(
                    Words::say('marking.trace.suspects_were_left_when_this', ['before' => $step->before->count()]),
                    $i,
                );
            } elseif ($share < 0.9) {
                $why[] = Line::say(
                    Words::say('marking.trace.suspects_before_this_and_after', [
                        'before' => $step->before->count(),
                        'after' => $step->after->count(),
                        'wording' => $step->best[0]->said($account->wording),
                        'splits' => $step->best[0]->splits(),
                    ]),
                    $i,
                );
            }
        }
        [$missing, $at] = $this->missing($account);
        if ($missing > 0) {
            $step = $account->steps[$at];
            $why[] = Line::say(
                Words::say('marking.trace.it_ended_with_suspects_left', [
                    'before' => $step->before->count(),
                    'wording' => $step->best[0]->said($account->wording),
                    'splits' => $step->best[0]->splits(),
                ]),
                $at,
            );
        }
        if ($asked === [] && $missing === 0 && self::wasKnown($account)) {
            return new Line('trace', 1.0, [Line::say(Words::say('marking.trace.what_was_said_and_seen'))]);
        }
        if ($asked === []) {
            return new Line('trace', 0.0, [
                Line::say(Words::say('marking.trace.nothing_was_read_or_looked')),
                ...$why,
            ]);
        }

        return new Line(
            'trace',
            array_sum($asked) / (count($asked) + $missing),
            $why === [] ? [Line::say(Words::say('marking.trace.each_reading_told_about_as'))] : self::once($why),
        );
    }

    /**
     * What is said again and again said once.
     *
     * @param list<array{text: string, entry: int|null}> $why
     * @return list<array{text: string, entry: int|null}>
     */
    private static function once(array $why): array
    {
        $by = [];
        foreach ($why as $line) {
            $by[$line['text']][] = $line;
        }

        return array_values(array_map(function (array $same): array {
            $more = count($same) - 1;

            return $more === 0 ? $same[0] : Line::say(Words::say('marking.trace.and_the_same_times_more', [
                'text' => $same[0]['text'],
                'more' => $more,
            ]), $same[0]['entry']);
        }, $by));
    }

    /** Whether one suspect stood before the first name was given. */
    private static function wasKnown(AttemptReview $account): bool
    {
        $names = $account->named();

        return $names !== [] && $account->steps[min($names)]->before->count() === 1;
    }

    /**
     * Whether readings were taken everywhere, in the hope that one of them would tell: many more than would have been
     * needed. One that tells two fifths of what the best tells is three fifths of a reading too many, so that a sweep
     * in which each strikes out one suspect is one too. To confirm what one part is left with takes a few; who goes on
     * reading long after has not seen that it was told.
     */
    public static function isSweep(AttemptReview $account): bool
    {
        $standing = new Standing($account->faultSet);
        $asked = self::questions($account);
        $idle = 0.0;
        $all = $after = 0;
        foreach ($account->entries(['leads']) as $i) {
            if ($account->outcome($i)->reading === null || $i >= ($account->knownAt() ?? PHP_INT_MAX)) {
                continue;
            }
            $all++;
            if (isset($asked[$i])) {
                $idle += 1 - $asked[$i];
            } elseif ($standing->isDown($account->steps[$i]->before)) {
                $after++;
            }
        }
        $idle += max(0, $after - self::TO_CONFIRM);

        return $idle >= self::SWEEP && $idle >= self::SWEPT_SHARE * $all;
    }

    /**
     * What was asked while something was left to tell, each against the best: leads that stay where they are ask one
     * question, however often they are read. What was got by force is a question that earned nothing; a sound part
     * that was swapped was a question too, asked with a part.
     *
     * @return array<int, float> share by entry
     */
    public static function questions(AttemptReview $account): array
    {
        $asked = $fed = [];
        $standing = new Standing($account->faultSet);
        $feeds = new Feeds($account->plan->model);
        foreach (
            array_filter(
                $account->entries(array_keys(Catalogue::all())),
                fn (int $i): bool => AttemptReview::isQuestion($account->act($i)),
            ) as $i
        ) {
            $act = $account->act($i);
            $step = $account->steps[$i];
            $outcome = $account->outcome($i);
            $forced = $act->is(Quality::Forces);
            if ($standing->isDown($step->before) && ! $act->is(Quality::Swaps)) {
                continue; // what follows confirms
            }
            if ($act->is(Quality::Swaps)) {
                if ($step->before->entropy() > AttemptReview::SETTLED_BITS && $account->wasSound($i)) {
                    $asked[$i] = 0.0;
                }

                continue;
            }
            if (
                $step->could() <= 0.0 ||
                ($forced ? $outcome->dangers === [] : $outcome->reading === null && $outcome->seen === [])
            ) {
                continue;
            }
            $share = min(1.0, self::told($account, $i) / (self::GOOD_ENOUGH * $step->could()));
            if ($share < 1.0 && self::isFree($account, $act)) {
                continue;
            }
            $feed = $feeds->shownBy($outcome->reading);
            if ($share < 1.0 && $feed !== null && ! isset($fed["$feed"])) {
                $fed["$feed"] = true; // a supply is proved once, wherever

                continue;
            }
            $group = in_array($act->name, ['read', 'dial'], true) ? $account->placing($i) : $i;
            if (isset($asked[$group])) {
                $asked[$group] = max($asked[$group], $share);
            } elseif ($act->name !== 'dial' || $share >= 1.0) {
                $asked[$i] = $share;
            }
        }

        return $asked;
    }

    /** What is never held against the trace: supply, fuel and demand looked at, and what ears, nose and hand tell. */
    private static function isFree(AttemptReview $account, Act $act): bool
    {
        return $act->name === 'look' && Basics::proves($account, $act) !== [] ||
            in_array($act->name, ['listen', 'smell', 'feel', 'ask'], true);
    }

    /** @return array{int, int} questions that the name came too early for, and the entry that gave it */
    private function missing(AttemptReview $account): array
    {
        $at = $account->knownAt();
        if (
            $at === null ||
            $account->verdict() === 'proved' ||
            $account->steps[$at]->could() <= 0.0 ||
            (new Standing($account->faultSet))->isDown($account->steps[$at]->before)
        ) {
            return [0, 0];
        }
        $left = $account->steps[$at]->before->entropy();

        return [
            min(self::MISSING, (int) ceil($left / max(AttemptReview::SETTLED_BITS, $account->steps[$at]->could()))),
            $at,
        ];
    }

    /** Bits; what an unsafe act showed is worth nothing. Fuel that gathered meanwhile is not this act's doing. */
    private static function told(AttemptReview $account, int $i): float
    {
        return array_diff($account->outcome($i)->dangers, ['gas-trials']) === [] ? $account->steps[$i]->told() : 0.0;
    }
}
