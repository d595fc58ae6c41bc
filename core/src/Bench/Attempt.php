<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/** A whole action log, run on an appliance with a fault: what it showed, and the state at the end. */
final readonly class Attempt
{
    private function __construct(
        public Observations $observations,
        public Arrival $arrival,
        public BenchState $state,
        public Bench $bench,
    ) {}

    /**
     * @param int|null $until tick after the arrival to go on to when the last act is done
     * @param list<string> $stops dangers that the house rules stop
     * @param class-string<Bench> $at where it is worked
     */
    public static function run(
        Plan $plan,
        Fault $fault,
        ActionLog $log,
        string $visit,
        Memory $memory,
        ?int $until = null,
        Kit $kit = new Kit(),
        array $stops = [],
        string $at = Bench::class,
    ): self {
        $bench = new $at($plan, $fault, $memory, $log->seed, $kit, $stops);
        $arrival = $bench->arrive($visit);
        $state = $arrival->state;
        $state = $bench->resume($state);
        $entries = [];
        foreach ($log->acts as $act) {
            [$state, $outcome] = $bench->do($state, $act);
            $entries[] = [$act, $outcome];
        }
        $end = max($until ?? 0, $state->now());
        $state = $bench->advance($state, $end);

        return new self(
            new Observations(
                $visit,
                $entries,
                $bench->record->until($end),
                $end,
                array_column($arrival->complaint, 'id'),
            ),
            $arrival,
            $state,
            $bench,
        );
    }
}
