<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Act;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** The right part and the right rating, and nothing replaced without proof. */
final readonly class Repair implements Judge
{
    private const NEEDLESS = 0.4;

    private const NOT_LOOKED_FURTHER = 0.2;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $why = [];
        $lost = 0.0;
        foreach ($account->entries(['mend', 'spare', 'fuse', 'unjump', 'set', 'reset', 'batteries', 'land']) as $i) {
            $act = $account->act($i);
            if ($account->repairs->helped($i)) {
                $why[] = Line::say(Words::say('marking.repair.this_fixed_it'), $i);
                if ($act->name === 'mend' && $act->get('how') === 'replace' && $this->wasWhole($account, $rules)) {
                    $lost += self::NEEDLESS;
                    $why[] = Line::say(
                        Words::say('marking.repair.these_rules_replace_a_rod'),
                        $i,
                    );
                }
            } elseif ($account->repairs->wasSpoiled($i)) {
                $why[] = Line::say(Words::say('marking.repair.the_fault_had_damaged_this'), $i);
            } elseif (in_array($act->name, ['mend', 'spare'], true)) {
                $lost += $this->needless($account, $i, $act, $why);
            }
        }
        if (
            $account->repairs->tookAlong() &&
            $rules->schools->is('after_short', 'look_further') &&
            ! $this->lookedFurther($account)
        ) {
            $lost += self::NOT_LOOKED_FURTHER;
            $why[] = Line::say(Words::say('marking.repair.these_rules_want_other_damage'));
        }
        if ($account->repairs->isRightlyShutDown()) {
            return new Line('repair', max(0.0, 1.0 - $lost), [
                ...$why,
                Line::say(Words::say('marking.repair.it_must_not_run_made')),
            ]);
        }
        if ($account->repairs->isLeft() && $account->repairs->isShutDown()) {
            $why[] = Line::say(Words::say('marking.repair.it_was_shut_down_and'));
        }
        if ($account->repairs->isLeft()) {
            return new Line(
                'repair',
                0.0,
                [...$why, Line::say(Words::say('marking.repair.the_fault_was_not_repaired'))],
            );
        }
        foreach ($account->repairs->spoilt() as $part) {
            $lost = 1.0;
            $label = $account->plan->model->parts()[$part]->label;
            $why[] = Line::say(Words::say('marking.repair.was_damaged_by_the_work', ['label' => $label]));
        }

        return new Line(
            'repair',
            max(0.0, 1.0 - $lost),
            $why === [] ? [Line::say(Words::say('marking.repair.there_was_nothing_to_repair'))] : $why,
        );
    }

    /** @param list<array{text: string, entry: int|null}> $why */
    private function needless(AttemptReview $account, int $i, Act $act, array &$why): float
    {
        $fault = $account->fault;
        $own = $fault->in($act->get('part'));
        if (
            $own !== null &&
            $fault->members !== [] &&
            $own->yieldsTo($act->name === 'mend' ? $act->get('how') : 'replace')
        ) {
            $why[] = Line::say(Words::say('marking.repair.this_fixed_one_of_the'), $i);

            return 0.0;
        }
        $why[] = Line::say(
            $own !== null
                ? Words::say('marking.repair.this_did_not_fix_it')
                : Words::say('marking.repair.there_was_nothing_wrong_with'),
            $i,
        );

        return self::NEEDLESS;
    }

    /** Whether what was replaced was a rod that needed cleaning only. */
    private function wasWhole(AttemptReview $account, Rules $rules): bool
    {
        return $rules->schools->is('rod_replacement', 'damaged_only') &&
            $account->kind($account->fault->part)?->isFlameSensor() === true &&
            $account->fault->repair === 'clean';
    }

    /** Whether ohms were asked with the power off before the part that went along was replaced. */
    private function lookedFurther(AttemptReview $account): bool
    {
        foreach ($account->entries(['leads', 'mend', 'spare', 'fuse']) as $i) {
            if ($account->act($i)->name !== 'leads' && $account->repairs->wasSpoiled($i)) {
                return false;
            }
            $reading = $account->outcome($i)->reading;
            if ($reading !== null && $reading->mode->wantsDead() && ! $reading->live) {
                return true;
            }
        }

        return false;
    }
}
