<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Act;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;

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
                $why[] = Line::say('This fixed it.', $i);
                if ($act->name === 'mend' && $act->get('how') === 'replace' && $this->wasWhole($account, $rules)) {
                    $lost += self::NEEDLESS;
                    $why[] = Line::say(
                        'These rules replace a rod only when it is bent, thin or cracked: cleaning would have done.',
                        $i,
                    );
                }
            } elseif ($account->repairs->wasSpoiled($i)) {
                $why[] = Line::say('The fault had damaged this part too; it had to be replaced.', $i);
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
            $why[] = Line::say('These rules want other damage from a short looked for before the power goes back on.');
        }
        if ($account->repairs->isRightlyShutDown()) {
            return new Line('repair', max(0.0, 1.0 - $lost), [
                ...$why,
                Line::say('It must not run: made safe, tagged out, and the customer told. That is the right ending here.'),
            ]);
        }
        if ($account->repairs->isLeft() && $account->repairs->isShutDown()) {
            $why[] = Line::say('It was shut down, and could have been repaired.');
        }
        if ($account->repairs->isLeft()) {
            return new Line('repair', 0.0, [...$why, Line::say('The fault was not repaired.')]);
        }
        foreach ($account->repairs->spoilt() as $part) {
            $lost = 1.0;
            $label = $account->plan->model->parts()[$part]->label;
            $why[] = Line::say("$label was damaged by the work, and left that way.");
        }

        return new Line(
            'repair',
            max(0.0, 1.0 - $lost),
            $why === [] ? [Line::say('There was nothing to repair, and nothing was touched.')] : $why,
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
            $why[] = Line::say('This fixed one of the faults; it was not the only one.', $i);

            return 0.0;
        }
        $why[] = Line::say(
            $own !== null
                ? 'This did not fix it.'
                : 'There was nothing wrong with this part, and it was not proved bad.',
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
