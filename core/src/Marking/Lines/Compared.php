<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Comparing\OnTwin;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Meter\Closeness;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Words\Words;

/**
 * Readings on the sound twin: like compared with like, and a difference found by it. Two readings are alike that are
 * between the same places and of the same mode, at moments of the sequence at which a sound one shows the same.
 */
final readonly class Compared implements Judge
{
    /** What is for like with like; the rest is for a difference that was found. Ours. */
    private const LIKE = 0.7;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        [$there, $here] = $this->readings($account);
        if ($there === []) {
            return in_array($account->verdict(), ['proved', 'supported'], true)
                ? new Line('compared', 1.0, [Line::say(Words::say('marking.compared.was_not_needed'))])
                : new Line('compared', 0.0, [Line::say(Words::say('marking.compared.nothing'))]);
        }
        $alike = 0;
        $differs = false;
        $why = [];
        foreach ($there as $i => $what) {
            $same = array_filter(
                array_keys($here, $what, true),
                fn (int $j): bool => $this->isAlike($account, $i, $j),
            );
            $alike += $same === [] ? 0 : 1;
            $differs = $differs || array_filter($same, fn (int $j): bool => ! $this->isSound($account, $j)) !== [];
            if ($same === []) {
                $why[] = Line::say(in_array($what, $here, true)
                    ? Words::say('marking.compared.another_moment')
                    : Words::say('marking.compared.not_on_the_failed_unit'), $i);
            }
        }
        $why[] = Line::say(Words::say($differs ? 'marking.compared.found' : 'marking.compared.none_found'));

        return new Line(
            'compared',
            self::LIKE * $alike / count($there) + ($differs ? 1 - self::LIKE : 0.0),
            $why,
        );
    }

    /** Whether a sound one shows at the one moment what the twin showed at the other. */
    private function isAlike(AttemptReview $account, int $there, int $here): bool
    {
        $sound = $account->sound()[$here]->measured;
        $twin = $account->outcome($there)->reading;

        return $sound !== null && $twin !== null && self::isSame($twin, $sound->exact);
    }

    /** Whether the failed unit showed what a sound one would have shown then. */
    private function isSound(AttemptReview $account, int $here): bool
    {
        $sound = $account->sound()[$here]->measured;
        $reading = $account->outcome($here)->reading;

        return $sound === null || $reading === null || self::isSame($reading, $sound->exact);
    }

    /** What a loaded transformer or a long wire takes is no difference to a person. */
    private static function isSame(Reading $shown, float $exact): bool
    {
        $mode = $shown->mode;

        return Meter::agrees($shown, $exact)
            || in_array($mode, [Mode::VoltsAc, Mode::VoltsLow, Mode::VoltsDc, Mode::Millivolts], true)
            && ! $shown->live && ! $shown->unsteady && Closeness::isNear($mode, $shown->value, $exact);
    }

    /**
     * Readings on the twin and on the failed unit.
     *
     * @return array{array<int, string>, array<int, string>} mode and places by entry, those in their order by name
     */
    private function readings(AttemptReview $account): array
    {
        $readings = ['there' => [], 'here' => []];
        $on = ['there' => [], 'here' => []];
        foreach (array_keys($account->seen->entries) as $i) {
            $act = $account->act($i);
            $side = $act instanceof OnTwin ? 'there' : 'here';
            $act = $act instanceof OnTwin ? $act->there() : $act;
            if ($account->outcome($i)->refused !== null) {
                continue;
            }
            if ($act instanceof Leads) {
                $on[$side] = [(string) $act->get('red'), (string) $act->get('black')];
                sort($on[$side]);
            }
            $reading = $account->outcome($i)->reading;
            if ($reading !== null && in_array($act->name, ['leads', 'read', 'dial'], true)) {
                $readings[$side][$i] = implode(' ', [$reading->mode->key(), ...$on[$side]]);
            }
        }

        return [$readings['there'], $readings['here']];
    }
}
