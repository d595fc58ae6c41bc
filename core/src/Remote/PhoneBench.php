<?php

declare(strict_types=1);

namespace OddSpark\Remote;

use OddSpark\Acts\Act;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Acts\Risk;
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

    /** What he was asked, where he does something else: nobody sent him where his own mistake takes him. */
    public ?Act $asked = null;

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
        $asked = $this->asked ?? $act;
        $this->asked = null;
        [$next, $outcome] = parent::do($state, $act, $loose);
        $sent = array_values(array_filter([$asked->get('red'), $asked->get('black')], is_string(...)));
        $isSent = $asked instanceof Leads && (new Risk($this->plan))->isLive($this->machine(), $next, $sent);
        if ($outcome->refused !== null || ! $isSent) {
            return [$next, $outcome];
        }

        return [$next, new Outcome(
            $outcome->seen,
            $outcome->reading,
            $outcome->measured,
            dangers: [...$outcome->dangers, 'customer-live'],
        )];
    }
}
