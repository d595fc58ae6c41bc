<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Meter\Mode;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;

/**
 * A person before an appliance: does things to it and perceives what follows.
 *
 * The same class runs the trainee's attempt (with a seed: noise in the meter, scatter in the parts)
 * and every candidate of the suspects (without: what would be expected). State is one plain array:
 * the machine's tick and slots, zero (the tick of the arrival) and what the person has done to the
 * scene: door, held, mended, labour, acts, and what {@see Instruments} own.
 */
final class Bench
{
    /** Of a state: what a hand has put on the circuit. */
    private const ON_THE_CIRCUIT = ['red' => 1, 'black' => 1, 'mode' => 1, 'loose' => 1, 'blown' => 1, 'jumpers' => 1, 'earlier' => 1];

    private Machine $machine;

    private readonly Perception $perception;

    private readonly Instruments $instruments;

    private readonly Hands $hands;

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
        $this->instruments = new Instruments($plan, $seed);
        $this->reach = new Reach($plan);
        $this->risk = new Risk($plan);
        $this->hands = new Hands($plan, $fault, $this->reach);
        $this->noticing = new Noticing($plan, $fault, $this->perception, $this->reach);
        $this->machine = $this->machineOf(Hands::CLEAN);
        $this->record = new Record();
    }

    /** The time before the visit, up to the moment at which this person stands in front of the appliance. */
    public function arrive(string $visit): Arrival
    {
        $this->machine->jump($this->joined($this->fault->jumpers));
        $arrival = (new PreVisitRun($this->plan, $this->fault, $this->machine, $this->perception, $this->memory))->arrive($visit);

        return new Arrival(['earlier' => $this->fault->jumpers, 'raw' => $this->risk->rawTrials($arrival->state)] + $this->kit->with($arrival->state), $arrival->complaint);
    }

    /**
     * Goes on with a state kept from earlier, as from a snapshot.
     *
     * @param array<string, mixed> $state
     */
    public function resume(array $state): void
    {
        $this->machine = $this->machineOf($state);
        $this->connect($state);
        $this->record->see($state['tick'] - $state['zero'], $this->now($state));
    }

    /**
     * Bench time goes on to a tick after the arrival; everything perceived on the way is recorded.
     *
     * @param array<string, mixed> $state
     * @param bool $toNext stop as soon as something changes that this person can perceive
     * @return array<string, mixed>
     */
    public function advance(array $state, int $tick, bool $toNext = false): array
    {
        $before = $toNext ? self::withoutMeter($this->now($state)) : [];
        $until = $state['zero'] + $tick;
        do {
            $scene = array_diff_key($state, ['tick' => 1, 'slots' => 1]);
            $blown = $changed = false;
            $run = $this->machine->advance(
                ['tick' => $state['tick'], 'slots' => $state['slots']],
                $until,
                function (array $s) use (&$scene, &$blown, &$changed, $toNext, $before): bool {
                    $now = $this->now($s + $scene);
                    $this->record->see($s['tick'] - $scene['zero'], $now);
                    $scene['display'] = $this->instruments->follow($this->machine, $s + $scene)['display'];
                    $blown = $this->instruments->blows($this->machine, $s + $scene);
                    $changed = $toNext && self::withoutMeter($now) !== $before;

                    return $blown || $changed;
                },
            );
            $state = $run + $scene;
            if ($blown) {
                $state = $this->blowMeter($state);
                $state['unsaid'][] = 'meter-fuse';
            }
        } while ($blown && ! $changed && $state['tick'] < $until);

        return $state;
    }

    /**
     * The same, watched by another than the person: each settled state is shown to $seen.
     *
     * @param array<string, mixed> $state
     * @param callable(array<string, mixed>): bool $seen
     * @return array<string, mixed>
     */
    public function watch(array $state, int $tick, callable $seen): array
    {
        $scene = array_diff_key($state, ['tick' => 1, 'slots' => 1]);

        return $this->machine->advance(
            ['tick' => $state['tick'], 'slots' => $state['slots']],
            $state['zero'] + $tick,
            fn (array $s): bool => $seen($s + $scene),
        ) + $scene;
    }

    /**
     * Whether a lead can get to a place: it is not behind a door that is shut.
     *
     * @param array<string, mixed> $state
     */
    public function reaches(array $state, string $place): bool
    {
        return $this->reach->reaches($state, $place);
    }

    /**
     * What a look at a part would show now, nothing else changed; null when nothing of it is in sight.
     *
     * @param array<string, mixed> $state
     * @return array<string, string>|null
     */
    public function glance(array $state, string $part): ?array
    {
        return $this->reach->isInSight($state, $part) ? $this->noticing->look($this->machine, $state, $part) : null;
    }

    /**
     * What an instrument would show at a tap, exactly.
     *
     * @param array<string, mixed> $state
     */
    public function tap(array $state, string $tap): float
    {
        return $this->instruments->tap($state, Mode::from($this->plan->model->taps()[$tap]->instrument), $tap)->exact;
    }

    /**
     * Puts the meter's leads back where the state has them.
     *
     * @param array<string, mixed> $state
     */
    public function reconnect(array $state): void
    {
        $this->connect($state);
    }

    /**
     * Does an act at its tick, which the state has been advanced to first.
     *
     * @param array<string, mixed> $state
     * @param string|null $loose red or black: that lead was seen not to touch, which a candidate cannot know by itself
     * @return array{array<string, mixed>, Outcome}
     */
    public function do(array $state, Act $act, ?string $loose = null): array
    {
        $state = $this->advance($state, $act->tick);
        $refusal = $this->reach->refusal($state, $act);
        if ($refusal !== null) {
            return [$state, Outcome::refuse($refusal)];
        }
        $raw = $this->risk->rawTrials($state);
        if ($raw - $state['raw'] >= Risk::RAW_TRIALS) {
            $state = ['raw' => $raw, 'unsaid' => [...($state['unsaid'] ?? []), 'gas-trials']] + $state;
        }
        $state['raw'] = min($state['raw'], $raw); // it has burnt meanwhile
        $seen = $this->record->kept();
        [$next, $outcome] = $this->perform(array_diff_key($state, ['unsaid' => 1]), $act, $loose);
        $stopped = array_values(array_intersect($outcome->dangers, $this->stops));
        if ($stopped !== []) { // as if it had never been begun
            $this->record = Record::resumed($seen);
            $this->machine = $this->machineOf($state);
            $this->connect($state);

            return [$state, Outcome::stop($stopped)];
        }

        return [$next, $outcome->told($state['unsaid'] ?? [])];
    }

    /**
     * Everything perceived at this moment, by channel; the meter's display among it.
     *
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    public function now(array $state): array
    {
        $now = $this->perception->at($this->machine, $state, $state['door'] === 'open', $state['eyes']);
        if ($this->instruments->isOn($state)) {
            $now["meter {$state['mode']} {$state['red']} {$state['black']}"] = $this->instruments->recorded($this->machine, $state);
        }

        return $now;
    }

    /**
     * Whether the appliance still differs from its document: the fault is in it, or something that does not
     * belong there was put in.
     *
     * @param array<string, mixed> $state
     */
    public function isFaulty(array $state): bool
    {
        foreach ($this->changed($state) as $path => $value) {
            $now = str_ends_with($path, '.at') ? $state['slots'][substr($path, 0, -3)]['at'] : $value;
            $given = $this->plan->given($path);
            if (is_numeric($now) && is_numeric($given) ? $now != $given : $now !== $given) { // nothing given is not nought
                return true;
            }
        }
        foreach ($this->fault->jumpers as $jumper) {
            if (in_array($jumper, [...$state['jumpers'], ...$state['earlier']], true)) {
                return true;
            }
        }

        return false;
    }

    public function perception(): Perception
    {
        return $this->perception;
    }

    public function machine(): Machine
    {
        return $this->machine;
    }

    /**
     * @param array<string, mixed> $now
     * @return array<string, mixed>
     */
    private static function withoutMeter(array $now): array
    {
        return array_filter($now, fn (string $channel) => ! str_starts_with($channel, 'meter '), ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param array<string, mixed> $state
     * @return array{array<string, mixed>, Outcome}
     */
    private function perform(array $state, Act $act, ?string $loose): array
    {
        $dangers = $this->risk->of($this->machine, $state, $act);
        $state['labour'] += Catalogue::ACTS[$act->name]['minutes'];
        $state['acts']++;
        if (in_array($act->name, ['leads', 'read'], true)) {
            $state['loose'] = $act->name === 'read' ? null : $loose ?? ($this->seed === null ? null : $this->kit->loose($this->seed, $state['acts']));
        }
        $state = $this->apply($state, $act);
        if ($this->instruments->blows($this->machine, $state)) {
            $this->record->see($state['tick'] - $state['zero'], $this->now($state));
            $state = $this->blowMeter($state);
            $dangers[] = 'meter-fuse';
        }
        $this->record->see($state['tick'] - $state['zero'], $this->now($state));
        $measured = $this->measured($state, $act);
        if ($measured !== null) {
            if ($measured->reading->live) {
                $dangers[] = 'ohms-on-live';
            }

            return [$state, new Outcome(reading: $measured->reading, measured: $measured, dangers: $dangers)];
        }

        return [$state, new Outcome($this->seen($state, $act), dangers: $dangers)];
    }

    /**
     * What an act reads, if it reads.
     *
     * @param array<string, mixed> $state
     */
    private function measured(array $state, Act $act): ?Measured
    {
        $of = match ($act->name) {
            'leads', 'dial', 'keep' => 'meter',
            'read' => $act->get('of') ?? 'meter',
            'clamp' => $act->name,
            default => isset(Mode::AT_TAPS[$act->name]) ? $act->name : null,
        };

        return match (true) {
            $of === null => null,
            $of === 'meter' => $this->instruments->isOn($state) ? $this->instruments->read($state) : null,
            $state[$of] === null => null,
            $of === 'clamp' => $this->instruments->clamp($this->machine, $state),
            default => $this->instruments->tap($state, Mode::from($of), $state[$of]),
        };
    }

    /**
     * What an act lets one see.
     *
     * @param array<string, mixed> $state
     * @return array<string, string>
     */
    private function seen(array $state, Act $act): array
    {
        return match ($act->name) {
            'tester' => ['tester' => $this->instruments->lights($this->machine, $state, $act->get('place')) ? 'lights' : 'stays dark'],
            default => $this->noticing->of($this->machine, $state, $act),
        };
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function apply(array $state, Act $act): array
    {
        $was = $state;
        $state = $this->hands->apply($state, $act, fn (): array => $this->machine->initial()['slots']);
        $rebuilt = [$was['mended'], $was['fitted']] !== [$state['mended'], $state['fitted']];
        if ($rebuilt) {
            $this->machine = $this->machineOf($state);
        }
        $untouched = ! $rebuilt && $state['slots'] === $was['slots'];
        if ($untouched && array_intersect_key($state, self::ON_THE_CIRCUIT) === array_intersect_key($was, self::ON_THE_CIRCUIT)) {
            return $this->instruments->follow($this->machine, $state); // looked, said or thought
        }

        return $this->settle($state, $untouched);
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function settle(array $state, bool $onlyCircuit = false): array
    {
        $this->connect($state);

        return $this->instruments->follow($this->machine, $this->machine->settle(['tick' => $state['tick'], 'slots' => $state['slots']], $onlyCircuit) + $state);
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function blowMeter(array $state): array
    {
        return $this->settle($this->instruments->blow($state));
    }

    /**
     * The meter and the jumpers as the state has them.
     *
     * @param array<string, mixed> $state
     */
    private function connect(array $state): void
    {
        $this->instruments->connect($this->machine, $state);
        $landed = function (array $jumper) use ($state): bool {
            [$owner, $end] = Model::split($jumper[0]);

            return $state['slots']["$owner.body"][$end] ?? true;
        };
        $this->machine->jump($this->joined([...$state['jumpers'], ...array_filter($state['earlier'], $landed)]));
    }

    /**
     * @param array<array{string, string}> $jumpers places
     * @return list<array{int, int}> nodes
     */
    private function joined(array $jumpers): array
    {
        return array_map(fn (array $j) => [$this->plan->places[$j[0]], $this->plan->places[$j[1]]], array_values($jumpers));
    }

    /** @param array<string, mixed> $state mended, fitted */
    private function machineOf(array $state): Machine
    {
        $set = $this->changed($state);

        return new Machine($this->plan, $set + ($this->seed === null ? [] : Scatter::of($this->plan, $this->seed, $set)), $this->memory);
    }

    /**
     * Parameters that are not the document's: of the fault, as far as it is not mended, and of what was fitted.
     *
     * @param array<string, mixed> $state mended, fitted
     * @return array<string, mixed>
     */
    private function changed(array $state): array
    {
        return $state['fitted'] + array_filter(
            $this->fault->set,
            fn (string $path) => ! array_filter($state['mended'], fn (string $part) => str_starts_with($path, "$part.")),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
