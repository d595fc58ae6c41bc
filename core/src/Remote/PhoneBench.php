<?php

declare(strict_types=1);

namespace OddSpark\Remote;

use OddSpark\Acts\Act;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Bench\Arrival;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Run\BenchState;

/**
 * An appliance before which a customer stands, and nobody else: nothing is perceived but what he is asked for. He must
 * not be sent to line voltage.
 */
final class PhoneBench extends Bench
{
    /** Longer than any call. */
    private const NEVER = PHP_INT_MAX;

    /** From here on a shock. */
    private const LIVE_V = 50.0;

    /** Nobody there who would perceive anything. */
    public static function alone(Arrival $arrival): Arrival
    {
        return new Arrival($arrival->state->with(away: self::NEVER), $arrival->complaint);
    }

    public function arrive(string $visit): Arrival
    {
        return self::alone(parent::arrive($visit));
    }

    public function do(BenchState $state, Act $act, ?string $loose = null): array
    {
        [$next, $outcome] = parent::do($state, $act, $loose);
        if ($outcome->refused !== null || ! $act instanceof Leads || ! $this->isLive($next)) {
            return [$next, $outcome];
        }

        return [$next, new Outcome(
            $outcome->seen,
            $outcome->reading,
            $outcome->measured,
            dangers: [...$outcome->dangers, 'customer-live'],
        )];
    }

    /** Whether one of his leads is on line voltage. */
    private function isLive(BenchState $state): bool
    {
        $solution = $this->machine()->solution($state);
        foreach (array_filter([$state->red, $state->black]) as $place) {
            if ($solution->acVolts($this->plan->places[$place], 0) > self::LIVE_V) {
                return true;
            }
        }

        return false;
    }
}
