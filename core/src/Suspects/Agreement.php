<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Meter\Meter;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/** Whether what was shown agrees with what a candidate would have shown. */
final readonly class Agreement
{
    private const NEARBY_STEP = 500;

    public function __construct(private Plan $plan, private FaultSet $faultSet, private Memory $memory) {}

    /**
     * Whether the act would have shown the same a little earlier or later: a moment is known to a
     * person only so well.
     *
     * @param BenchState $before of the candidate, after the entry before
     */
    public function nearby(
        string $id,
        BenchState $before,
        Act $act,
        Outcome $observed,
        Comparison $comparison,
    ): bool {
        if ($observed->reading === null && $observed->seen === []) {
            return false; // a refusal does not depend on the moment
        }
        $reach = (int) $comparison->tolerance($act->tick);
        $from = max($before->now(), $act->tick - $reach);
        for ($tick = $from; $tick <= $act->tick + $reach; $tick += self::NEARBY_STEP) {
            $bench = new Bench($this->plan, $this->faultSet->faults[$id], $this->memory);
            [, $expected] = $bench->do($bench->resume($before), $act->at($tick), self::loose($observed));
            if (self::ofOutcomes($observed, $expected)) {
                return true;
            }
        }

        return false;
    }

    public static function ofOutcomes(Outcome $observed, Outcome $expected): bool
    {
        if ($observed->refused !== $expected->refused || $observed->seen !== $expected->seen) {
            return false;
        }

        if ($observed->reading === null || $expected->measured === null) {
            return true;
        }

        return Meter::agrees($observed->reading, $expected->measured->exact) &&
            Meter::keptAgrees($observed->reading, $expected->measured->least, $expected->measured->most);
    }

    /**
     * A lead that was seen not to touch does not touch for a candidate either: which of the two is the same to the
     * circuit.
     */
    public static function loose(Outcome $observed): ?string
    {
        return $observed->reading?->unsteady === true ? 'red' : null;
    }
}
