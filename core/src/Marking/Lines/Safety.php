<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Danger;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\MindedByHouse;
use OddSpark\Marking\Rules;
use OddSpark\Marking\SafeHabits;
use OddSpark\Words\Words;

/** What was unsafe: in life it would have hurt somebody, or been left to. */
final readonly class Safety implements Judge
{
    /** Ticks within which an allowed test has to be undone. Ours. */
    private const SHORT = 120_000;

    private const GRAVE = 0.6;

    private const SLIGHT = 0.25;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        $why = [];
        $lost = 0.0;
        foreach (array_keys($account->seen->entries) as $i) {
            $outcome = $account->outcome($i);
            foreach (self::counted(self::dangers($account, $rules, $i)) as $danger) {
                if (self::isAllowed($account, $rules, $i, $danger)) {
                    $why[] = Line::say(Words::say('marking.safety.a_short_test_that_these'), $i);

                    continue;
                }
                $why[] = Line::say(
                    $outcome->wasStopped()
                        ? Words::say('marking.safety.tried_and_stopped_by_the').Danger::text($danger)
                        : Danger::text($danger),
                    $i,
                );
                $lost +=
                    (in_array($danger, Danger::SLIGHT, true) ? self::SLIGHT : self::GRAVE) *
                    ($outcome->wasStopped() ? 0.5 : 1.0);
            }
        }

        $why = $why === [] ? [Line::say(Words::say('marking.safety.nothing_unsafe_was_done'))] : $why;

        return new Line('safety', max(0.0, 1 - $lost), [...$why, ...(new SafeHabits($account))->told()]);
    }

    /** Whether something unsafe was done that these rules do not allow. */
    public static function wasUnsafe(AttemptReview $account, Rules $rules): bool
    {
        foreach (array_keys($account->seen->entries) as $i) {
            foreach ($account->outcome($i)->wasStopped() ? [] : self::dangers($account, $rules, $i) as $danger) {
                if (! self::isAllowed($account, $rules, $i, $danger)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Left with the door off is said of the door switch that is held in already.
     *
     * @param list<string> $dangers
     * @return list<string>
     */
    private static function counted(array $dangers): array
    {
        return in_array('door-switch-held', $dangers, true)
            ? array_values(array_diff($dangers, ['door-open']))
            : $dangers;
    }

    /**
     * What was unsafe in an entry, as far as the house minds it.
     *
     * @return list<string>
     */
    private static function dangers(AttemptReview $account, Rules $rules, int $i): array
    {
        $outcome = $account->outcome($i);
        $dangers = array_filter(
            $outcome->dangers,
            fn (string $danger): bool => $danger !== 'gas-trials' || $rules->schools->is('ignition_trials', 'grave'),
        );
        $minded = new MindedByHouse($account);
        $more = $outcome->refused !== null ? [] : array_keys(array_filter([
            'casing-opened' => $rules->schools->is('sealed_casing', 'stays') && $minded->opensCasing($i),
            'not-proved-dead' => $rules->schools->is('proved_dead', 'proved') && $minded->isUnproved($i),
            'joint-untested' => $rules->schools->is('gas_joints', 'tested') && $minded->isUntested($i),
        ]));

        return array_values(array_unique([...$dangers, ...$more]));
    }

    private static function isAllowed(AttemptReview $account, Rules $rules, int $i, string $danger): bool
    {
        $act = $account->act($i);
        $undone = match ($danger) {
            'safety-jumpered' => $rules->schools->is('safety_jumper', 'supervised') ? 'unjump' : null,
            'valve-jumpered' => $rules->schools->is('valve_jumper', 'watched') ? 'unjump' : null,
            'flue-aside' => $rules->schools->is('flue_aside', 'one_trial') ? 'set' : null,
            default => null,
        };
        foreach ($undone === null ? [] : $account->entries([$undone]) as $j) {
            $other = $account->act($j);
            $same =
                $undone === 'unjump'
                    ? [$other->get('from'), $other->get('to')] == [$act->get('from'), $act->get('to')] ||
                        [$other->get('to'), $other->get('from')] == [$act->get('from'), $act->get('to')]
                    : $other->get('part') === $act->get('part') &&
                        $other->get('lever') === $act->get('lever') &&
                        $other->get('to') !== $act->get('to');
            if ($j > $i && $same) {
                return $other->tick - $act->tick <= self::SHORT;
            }
        }

        return false;
    }
}
