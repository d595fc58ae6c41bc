<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Wires\Jumper;
use OddSpark\Appliance\Model;
use OddSpark\Run\BenchState;

/** What was put in on a visit in the stead of something that was there, and does its work from now on. */
final class StandIns
{
    /** Whether something stands in for a part or a wire that is out of the circuit. */
    public static function has(Model $model, BenchState $state, string $id): bool
    {
        $wire = $model->wire($id);
        if ($wire !== null) {
            $isOut = ! $state->isLanded("$id.a") && ! $state->isLanded("$id.b");

            return $isOut && self::joins($state, $wire->from, $wire->to);
        }
        $kind = isset($state->off[$id]) ? $model->kindOf($id) : null;
        foreach ($kind === null ? [] : $state->installed as $other) {
            if ($model->kindOf($other)?->family === $kind->family) {
                return true;
            }
        }

        return false;
    }

    private static function joins(BenchState $state, string $from, string $to): bool
    {
        return array_filter($state->wired, fn (array $w): bool => Jumper::joins($w, $from, $to)) !== [];
    }
}
