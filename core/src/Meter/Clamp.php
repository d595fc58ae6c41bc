<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Appliance\Model;
use OddSpark\Circuit\Solution;

/**
 * The jaw of a clamp meter round one conductor or several: it reads the sum of what goes through it.
 *
 * Two conductors that carry one current there and back cancel. Which way each lies in the jaw follows
 * from where its ends are: those that run alongside the first count as they are, those that run
 * against it are turned round.
 */
final class Clamp
{
    /**
     * Amps through the jaw, rms; turns wound through it count each time.
     *
     * @param list<array{int, int, float, int}> $conductors node and node of each, siemens between, and which
     *     way it lies, +1 or −1
     */
    public static function amps(Solution $s, array $conductors, int $turns = 1): float
    {
        $re = $im = 0.0;
        foreach ($conductors as [$a, $b, $siemens, $way]) {
            [$x, $y] = $s->acPhasor($a, $b);
            $re += $way * $siemens * $x;
            $im += $way * $siemens * $y;
        }

        return $turns * hypot($re, $im);
    }

    /**
     * Which way each wire lies in the jaw: +1 as the first, −1 against it.
     *
     * @param list<string> $wires ids
     * @return list<int>
     */
    public static function ways(Model $model, array $wires): array
    {
        $first = null;
        $ways = [];
        foreach ($wires as $id) {
            $wire = $model->wires()[$id];
            [$x1, $y1] = self::at($model, $wire->from);
            [$x2, $y2] = self::at($model, $wire->to);
            $run = [$x2 - $x1, $y2 - $y1];
            $first ??= $run;
            $ways[] = $run[0] * $first[0] + $run[1] * $first[1] >= 0 ? 1 : -1;
        }

        return $ways;
    }

    /** @return array{float, float} where a terminal sits */
    private static function at(Model $model, string $place): array
    {
        [$part, $terminal] = Model::split($place);
        $own = $model->parts()[$part]->kind->terminals[$terminal];
        $at = $model->parts()[$part]->at;

        return [$at[0] + $own[0], $at[1] + $own[1]];
    }
}
