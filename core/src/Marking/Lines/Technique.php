<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Model;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\OwnSheet;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** Whether the meter was set and placed as it should be, and at its moment. */
final readonly class Technique implements Judge
{
    private const SLIP = 0.25;

    private const CURRENT = ['clamp', 'ua', 'ma', 'aac'];

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $slips = [];
        $readings = 0;
        foreach (array_keys($account->seen->entries) as $i) {
            $outcome = $account->outcome($i);
            $readings += $outcome->reading === null || $account->act($i)->name === 'dial' ? 0 : 1;
            if (in_array('meter-fuse', $outcome->dangers, true)) {
                $slips[$i] = Words::say('marking.technique.a_current_range_was_put');

                continue;
            }
            foreach ($account->steps[$i]->flaws as $flaw => $sentence) {
                if ($this->counts($flaw, $account, $rules, $i)) {
                    $slips[in_array($flaw, ['chassis', 'floating'], true) ? $account->placing($i) : $i] = $sentence;
                    break; // one reading, one slip
                }
            }
        }
        $slips += $this->schools($account, $rules);
        if ($rules->ownSheet) {
            $sheet = new OwnSheet($account);
            $slips += $sheet->wrong();
            if ($readings > 0 && $sheet->isEmpty()) {
                $slips[count($account->seen->entries) - 1] ??= Words::say('marking.technique.nothing_written_down');
            }
        }
        ksort($slips);
        if ($readings === 0 && $slips === []) {
            return $account->verdict() === 'proved'
                ? new Line('technique', 1.0, [Line::say(Words::say('marking.technique.no_meter_was_needed_it'))])
                : new Line('technique', 0.0, [Line::say(Words::say('marking.technique.no_reading_was_taken'))]);
        }
        $why = array_map(fn (int $i, string $text) => Line::say($text, $i), array_keys($slips), $slips);

        return new Line(
            'technique',
            max(0.0, 1 - self::SLIP * count($slips)),
            $why === [] ? [Line::say(Words::say('marking.technique.the_meter_was_set_and'))] : $why,
        );
    }

    private function counts(string $flaw, AttemptReview $account, Rules $rules, int $i): bool
    {
        return match ($flaw) {
            'chassis' => $rules->schools->is('reference', 'own_common'),
            'moment' => ! $this->isReadAgain(
                $account,
                $i,
                fn (int $j) => ! isset($account->steps[$j]->flaws['moment']),
            ),
            'loose' => ! $this->isReadAgain($account, $i, fn (int $j) => ! isset($account->steps[$j]->flaws['loose'])),
            'ghost' => ! $this->isReadAgain(
                $account,
                $i,
                fn (int $j) => $account->outcome($j)->reading?->mode->key() === 'vlz',
            ),
            'series' => ! $this->isReadAgain(
                $account,
                $i,
                fn (int $j) => ! isset($account->steps[$j]->flaws['series']),
            ),
            default => true,
        };
    }

    /**
     * Whether the same two places were read again later, and well, before a name was given.
     *
     * @param callable(int): bool $well
     */
    private function isReadAgain(AttemptReview $account, int $i, callable $well): bool
    {
        [$red, $black] = $this->at($account, $i);
        foreach ($account->entries(['leads', 'read', 'dial', 'name']) as $j) {
            if ($j <= $i) {
                continue;
            }
            if ($account->act($j)->name === 'name') {
                return false;
            }
            $at = $this->at($account, $j);
            if (
                ($at === [$red, $black] || $at === [$black, $red]) &&
                $account->outcome($j)->reading !== null &&
                $well($j)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return array{string|null, string|null} where the leads are after an entry */
    private function at(AttemptReview $account, int $i): array
    {
        $act = $account->act($account->placing($i));

        return $act->name === 'leads' ? [$act->get('red'), $act->get('black')] : [null, null];
    }

    /** @return array<int, string> what goes against the house's way of testing */
    private function schools(AttemptReview $account, Rules $rules): array
    {
        $slips = [];
        if (! $rules->schools->is('valve_test', 'either')) {
            $first = $this->firstAt($account, fn (Kind $k): bool => $k->isFuelValve());
            if (
                $first !== null &&
                in_array($account->outcome($first)->reading?->mode->key(), self::CURRENT, true) !==
                    $rules->schools->is('valve_test', 'amps_first')
            ) {
                $slips[$first] = $rules->schools->is('valve_test', 'amps_first')
                    ? Words::say('marking.technique.these_rules_test_a_valve')
                    : Words::say('marking.technique.these_rules_test_a_valve_by');
            }
        }
        if (! $rules->schools->is('limit_test', 'either')) {
            $first = $this->firstAt($account, fn (Kind $k): bool => $k->guards()?->opensOnHeat() === true);
            if (
                $first !== null &&
                ($account->outcome($first)->reading?->mode->wantsDead() ?? false) !==
                    $rules->schools->is('limit_test', 'ohms_dead')
            ) {
                $slips[$first] = $rules->schools->is('limit_test', 'ohms_dead')
                    ? Words::say('marking.technique.these_rules_test_a_limit')
                    : Words::say('marking.technique.these_rules_test_a_limit_by');
            }
        }

        return $slips;
    }

    /** @param callable(Kind): bool $is */
    private function firstAt(AttemptReview $account, callable $is): ?int
    {
        foreach ($account->entries(['leads', 'clamp']) as $i) {
            $act = $account->act($i);
            $places =
                $act->name === 'leads'
                    ? [$act->get('red'), $act->get('black')]
                    : array_merge(
                        ...array_map(
                            fn (string $wire) => ($w = $account->plan->model->wire($wire)) === null
                                ? []
                                : [$w->from, $w->to],
                            $act->get('wires'),
                        ),
                    );
            foreach ($account->outcome($i)->reading === null ? [] : $places as $place) {
                if (($kind = $account->plan->model->kindOf(Model::split($place)[0])) !== null && $is($kind)) {
                    return $i;
                }
            }
        }

        return null;
    }
}
