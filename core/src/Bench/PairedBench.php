<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Acts\Comparing\OnTwin;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Acts\Quality;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Record;

/**
 * A bench with the failed unit and its sound twin beside it: whatever is set, opened, held or reset is so on both, and
 * one meter goes from the one to the other. The twin is a bench of its own, run through the same time.
 */
final class PairedBench extends Bench
{
    /** What is perceived of the twin is called so, and as it is called of the unit. */
    public const PREFIX = 'twin ';

    /** What scatters in the twin scatters otherwise than in the unit. */
    private const OTHER_SEED = 7919;

    private readonly Bench $twin;

    /** @param list<string> $stops dangers that the house rules stop before they are done */
    public function __construct(
        Plan $plan,
        Fault $fault,
        Memory $memory,
        ?int $seed = null,
        Kit $kit = new Kit(),
        array $stops = [],
    ) {
        parent::__construct($plan, $fault, $memory, $seed, $kit, $stops);
        $this->twin = new Bench($plan, Fault::none(), $memory, $seed === null ? null : $seed + self::OTHER_SEED, $kit);
    }

    public function arrive(string $visit): Arrival
    {
        $arrival = parent::arrive($visit);

        return new Arrival(
            $arrival->state->with(twin: $this->twin->arrive($visit)->state),
            $arrival->complaint,
        );
    }

    public function resume(BenchState $state): BenchState
    {
        return parent::resume($state)->with(twin: $this->twin->resume(self::twinOf($state)));
    }

    public function advance(BenchState $state, int $tick, bool $toNext = false): BenchState
    {
        $state = parent::advance($state, $tick, $toNext);

        return $state->with(twin: $this->twin->advance(self::twinOf($state), $state->now()));
    }

    public function do(BenchState $state, Act $act, ?string $loose = null): array
    {
        [$next, $outcome] = parent::do($state, $act, $loose);
        if ($outcome->refused !== null) {
            return [$next, $outcome];
        }
        $twin = self::twinOf($next);
        if ($act instanceof OnTwin) {
            [$twin, $outcome] = $this->twin->do($twin, $act->there());

            return [$next->with(twin: $twin, blown: $twin->blown), $outcome];
        }
        if ($act->is(Quality::OnBoth)) {
            [$twin] = $this->twin->do($twin, $act);
        } elseif ($act->name === Leads::NAME && ($twin->red !== null || $twin->black !== null)) {
            [$twin] = $this->twin->do($twin, new Leads($act->tick, ['red' => null, 'black' => null]));
        }

        return [$next->with(twin: $twin->with(blown: $next->blown, battery: $next->battery)), $outcome];
    }

    public function perceived(int $tick): array
    {
        $all = parent::perceived($tick);
        foreach ($this->twin->perceived($tick) as $channel => $stretches) {
            $all[self::PREFIX.$channel] = $stretches;
        }

        return $all;
    }

    public function kept(): array
    {
        return parent::kept() + ['twin' => $this->twin->kept()];
    }

    public function goOnFrom(array $kept): void
    {
        parent::goOnFrom($kept);
        $this->twin->goOnFrom($kept['twin'] ?? (new Record())->kept());
    }

    public function anew(BenchState $state): void
    {
        parent::anew($state);
        $this->twin->anew(self::twinOf($state));
    }

    private static function twinOf(BenchState $state): BenchState
    {
        return $state->twin ?? throw new \LogicException('a pair without its twin');
    }
}
