<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Acts\Danger;
use OddSpark\Acts\Noticing;
use OddSpark\Acts\Reach;
use OddSpark\Acts\Risk;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Logger;
use OddSpark\Instruments\Measured;
use OddSpark\Instruments\Multimeter;
use OddSpark\Instruments\Site;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;
use OddSpark\Words\Words;

/**
 * A person before an appliance: does things to it and perceives what follows.
 *
 * The same class runs the trainee's attempt (with a seed: noise in the meter, scatter in the parts)
 * and every candidate of the suspects (without: what would be expected). How it stands is a {@see BenchState}, owned by
 * the caller.
 *
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Perceived from Record
 * @phpstan-import-type Kept from Record
 * @phpstan-import-type Joint from MachineState
 */
class Bench
{
    use CanBeAsked;

    private Machine $machine;

    private readonly Perception $perception;

    private readonly Multimeter $meter;

    private readonly Hookup $hookup;

    private readonly Noticing $noticing;

    private readonly Reach $reach;

    private readonly Risk $risk;

    /** What was perceived. */
    public Record $record;

    public function __construct(
        public readonly Plan $plan,
        public readonly Fault $fault,
        private readonly Memory $memory,
        private readonly ?int $seed = null,
        private readonly Kit $kit = new Kit(),
        /** @var list<string> dangers that the house rules stop before they are done */
        private readonly array $stops = [],
    ) {
        $this->perception = new Perception($plan);
        $this->meter = Bag::meter();
        $this->reach = new Reach($plan);
        $this->risk = new Risk($plan);
        $this->noticing = new Noticing($plan, $fault, $this->perception, $this->reach);
        $this->hookup = new Hookup($plan, $fault, $memory, $seed, $this->meter);
        $this->machine = $this->hookup->machineWith([], []);
        $this->record = new Record();
    }

    /** The time before the visit, up to the moment at which this person stands in front of the appliance. */
    public function arrive(string $visit): Arrival
    {
        $arrival = (new PreVisitRun(
            $this->plan,
            $this->fault,
            $this->machine,
            $this->perception,
            $this->memory,
            Machine::jumpers($this->hookup->pairs($this->fault->jumpers)),
        ))->arrive($visit);
        $state = $arrival->state->with(earlier: $this->fault->jumpers, raw: $this->risk->rawTrials($arrival->state));

        return new Arrival($this->kit->with($state), $arrival->complaint);
    }

    /** Goes on with a state kept from earlier, as from a snapshot; gives it with what is on its circuit. */
    public function resume(BenchState $state): BenchState
    {
        $this->machine = $this->hookup->machineOf($state);
        $state = $this->hookup->connected($state);
        $this->record->see($state->now(), $this->now($state));

        return $state;
    }

    /**
     * Bench time goes on to a tick after the arrival; everything perceived on the way is recorded.
     *
     * @param bool $toNext stop as soon as something changes that this person can perceive
     */
    public function advance(BenchState $state, int $tick, bool $toNext = false): BenchState
    {
        $before = $toNext ? self::unmetered($this->now($state)) : [];
        $until = $state->zero + $tick;
        do {
            $blown = $changed = false;
            $run = $this->machine->advance($state, $until, function (MachineState $s) use (
                &$state,
                &$blown,
                &$changed,
                $toNext,
                $before,
            ): bool {
                $state = $state->on($s);
                $now = $this->now($state);
                $this->record->see($state->now(), $now);
                if ($state->isMetered()) {
                    $state = $state->with(display: $this->meter->follow($this->site($state)));
                    $blown = $this->meter->blows($this->site($state));
                    $state = $this->sparked($state);
                }
                $changed = $toNext && self::unmetered($now) !== $before;

                return $blown || $changed;
            });
            $state = $state->on($run);
            if ($blown) {
                $state = $this->settle($this->meter->blown($state));
                $state = $state->with(unsaid: [...$state->unsaid, 'meter-fuse']);
            }
        } while ($blown && ! $changed && $state->tick < $until);

        return $state;
    }

    /** Leads that were on a spark lead when it began to fire: told once, with the next act. */
    private function sparked(BenchState $state): BenchState
    {
        $found = in_array('spark-lead', $state->unsaid, true)
            ? []
            : $this->risk->sparked($this->machine, $state, array_values(array_filter([$state->red, $state->black])));

        return $found === [] ? $state : $state->with(unsaid: [...$state->unsaid, ...$found]);
    }

    /**
     * The same, watched by another than the person: each settled state is shown to $seen.
     *
     * @param callable(BenchState): bool $seen
     */
    public function watch(BenchState $state, int $tick, callable $seen): BenchState
    {
        return $state->on(
            $this->machine->advance($state, $state->zero + $tick, fn (MachineState $s): bool => $seen($state->on($s))),
        );
    }

    /**
     * Does an act at its tick, which the state is advanced to first.
     *
     * @param string|null $loose red or black: that lead was seen not to touch, which a candidate cannot know by itself
     * @return array{BenchState, Outcome}
     */
    public function do(BenchState $state, Act $act, ?string $loose = null): array
    {
        $state = $this->advance($state, $act->tick);
        $refusal = $act->refusal($this->situation($state));
        if ($refusal !== null) {
            return [$state, Outcome::refuse($refusal)];
        }
        $raw = $this->risk->rawTrials($state);
        if ($raw - $state->raw >= Risk::RAW_TRIALS) {
            $state = $state->with(raw: $raw, unsaid: [...$state->unsaid, 'gas-trials']);
        }
        $state = $state->with(raw: min($state->raw, $raw)); // it has burnt meanwhile
        $seen = $this->record->kept();
        [$next, $outcome] = $this->perform($state->with(unsaid: []), $act, $loose);
        $stopped = array_values(array_intersect($outcome->dangers, $this->stops));
        if ($stopped !== []) { // as if it had never been begun
            $this->record = Record::resumed($seen);
            $this->machine = $this->hookup->machineOf($state);

            return [$this->hookup->connected($state), Outcome::stop($stopped)];
        }

        return [$next, $outcome->told($state->unsaid)];
    }

    /**
     * @param Perceived $now
     * @return Perceived
     */
    private static function unmetered(array $now): array
    {
        return array_filter(
            $now,
            fn (string $channel): bool => ! str_starts_with($channel, 'meter ') && ! Logger::isOf($channel),
            ARRAY_FILTER_USE_KEY,
        );
    }

    private function site(BenchState $state): Site
    {
        return new Site($this->plan, $this->machine, $state, $this->seed);
    }

    private function situation(BenchState $state): Situation
    {
        return new Situation(
            $this->plan,
            $this->fault,
            $this->machine,
            $state,
            $this->reach,
            $this->risk,
            $this->noticing,
            $this->seed,
        );
    }

    /** @return array{BenchState, Outcome} */
    private function perform(BenchState $state, Act $act, ?string $loose): array
    {
        $dangers = array_values(array_filter(
            $act->risks($this->situation($state)),
            fn (string $d): bool => ! in_array($d, Danger::BY_HOUSE, true) || in_array($d, $this->stops, true),
        ));
        $found = $act->finds($this->situation($state));
        $state = $state->with(labour: $state->labour + $act->minutesOn($this->plan->model), acts: $state->acts + 1);
        if ($act->reads() === Multimeter::KEY && $act->placesLeads() !== null) {
            // read again, a lead is pressed on
            $worn = $act->placesLeads()
                ? $loose ?? ($this->seed === null ? null : $this->kit->loose($this->seed, $state->acts))
                : null;
            $state = $state->with(loose: $worn);
        }
        $state = $this->apply($state, $act);
        if ($state->isMetered() && $this->meter->blows($this->site($state))) {
            $this->record->see($state->now(), $this->now($state));
            $state = $this->settle($this->meter->blown($state));
            $dangers[] = 'meter-fuse';
        }
        $this->record->see($state->now(), $this->now($state));
        $measured = $this->measured($state, $act);
        if ($measured === null) {
            return [$state, new Outcome($found + $act->shows($this->situation($state)), dangers: $dangers)];
        }
        if ($measured->reading->live) {
            $dangers[] = 'ohms-on-live';
        }

        $isPlaced = $act->reads() === Multimeter::KEY && $act->placesLeads() === true;
        $kicks = $isPlaced && $this->meter->kicks($this->site($state));
        $seen = $kicks ? ['display' => Words::say('bench.bench.falls_first_then_climbs')] : [];

        return [$state, new Outcome($seen, $measured->reading, $measured, dangers: $dangers)];
    }

    /** What an act reads, if it reads. */
    private function measured(BenchState $state, Act $act): ?Measured
    {
        $of = Bag::all()[$act->reads() ?? ''] ?? null;

        return $of?->isOn($state) === true ? $of->read($this->site($state)) : $act->measures($this->situation($state));
    }

    private function apply(BenchState $was, Act $act): BenchState
    {
        $state = $act->apply($this->situation($was));
        $rebuilt = $this->hookup->builtOf($was) !== $this->hookup->builtOf($state);
        if ($rebuilt) {
            $this->machine = $this->hookup->machineOf($state);
        }
        $untouched = ! $rebuilt && $state->slots === $was->slots;
        if ($untouched && Hookup::onTheCircuit($state) === Hookup::onTheCircuit($was)) { // looked, said or thought
            return $state->with(display: $this->meter->follow($this->site($state)));
        }

        return $this->settle($state, $untouched);
    }

    private function settle(BenchState $state, bool $onlyCircuit = false): BenchState
    {
        $state = $this->hookup->connected($state);
        $state = $state->on($this->machine->settle($state, $onlyCircuit));

        return $state->with(display: $this->meter->follow($this->site($state)));
    }
}
