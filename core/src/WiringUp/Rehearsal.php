<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;
use OddSpark\Suspects\Trial;

/**
 * One wiring of an appliance run: through a long visit, and on from a moment of it with a switch thrown, a contact
 * opened or a flame put out.
 *
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Slot from Primitive
 */
final class Rehearsal
{
    /** Changes after which a wiring is said to chatter, in the visit and in what follows on a thing tried. */
    private const MOST = 1500;

    private const MOST_AFTER = 150;

    /** @var array<int, BenchState> how it stands at each moment of the long visit; none from where it chatters on */
    public readonly array $states;

    /** How its loads stood all the time. */
    public readonly Track $visit;

    private readonly Memory $memory;

    public function __construct(
        public readonly Plan $plan,
        public readonly Loads $loads,
        Trial $trial,
        string $visit,
        public readonly ?Record $record = null,
    ) {
        $this->memory = new Memory();
        $bench = new Bench($plan, Fault::none(), $this->memory);
        $state = $bench->resume(
            $bench->arrive($visit)->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE),
        );
        $this->visit = new Track();
        $see = $this->seeing($bench, $this->visit, $this->record, 0, self::MOST);
        $see($state);
        $states = [];
        $acts = $trial->acts();
        foreach (array_keys($trial->moments()) as $tick) {
            while ($acts !== [] && $acts[0]->tick <= $tick) {
                $act = array_shift($acts);
                $state = $bench->watch($state, $act->tick, $see);
                if ($this->visit->chatters) {
                    break 2;
                }
                [$state] = $bench->do($state, $act);
                $state = $state->with(eyes: Perception::EVERYWHERE);
                $see($state);
            }
            $state = $bench->watch($state, $tick, $see);
            if ($this->visit->chatters) {
                break;
            }
            $states[$tick] = $state;
        }
        $this->visit->until($trial->end());
        $this->states = $states;
    }

    /** @return array<string, float|string> {@see Loads::at} */
    public function at(BenchState $state): array
    {
        return $this->loads->at((new Bench($this->plan, Fault::none(), $this->memory))->machine(), $state);
    }

    /**
     * On from a state with a lever thrown.
     *
     * @return array{Track, BenchState}|null null where hands cannot
     */
    public function thrown(BenchState $from, string $part, string $lever, string $to, int $ms, ?Record $record): ?array
    {
        $bench = new Bench($this->plan, Fault::none(), $this->memory);
        $state = $bench->resume($from);
        $act = Catalogue::make($state->now(), 'set', ['part' => $part, 'lever' => $lever, 'to' => $to]);
        [$state, $outcome] = $bench->do($state, $act);
        if ($outcome->refused !== null) {
            return null;
        }

        return $this->on($bench, $state->with(eyes: Perception::EVERYWHERE), $ms, $record);
    }

    /**
     * On from a state with something otherwise in a part.
     *
     * @param Changes $set
     * @param array<string, Slot> $slots
     * @return array{Track, BenchState}
     */
    public function changed(BenchState $from, array $set, array $slots, int $ms, ?Record $record): array
    {
        $fault = new Fault('tried', '', 'tried', null, '', 'tried', $set, 1.0, 'set');
        $bench = new Bench($this->plan, $fault, $this->memory);
        $state = $bench->resume($from->withSlots($slots));

        return $this->on($bench, $state->on($bench->machine()->settle($state)), $ms, $record);
    }

    /** @return array{Track, BenchState} */
    private function on(Bench $bench, BenchState $state, int $ms, ?Record $record): array
    {
        $track = new Track();
        $from = $state->now();
        $see = $this->seeing($bench, $track, $record, $from, self::MOST_AFTER);
        $see($state);
        $state = $bench->watch($state, $from + $ms, $see);
        $track->until($ms);

        return [$track, $state];
    }

    /** @return \Closure(BenchState): bool */
    private function seeing(Bench $bench, Track $track, ?Record $record, int $zero, int $most): \Closure
    {
        $left = $most;

        return function (BenchState $s) use ($bench, $track, $record, $zero, &$left): bool {
            $track->see($s->now() - $zero, $this->loads->at($bench->machine(), $s));
            $record?->see($s->now() - $zero, $bench->now($s));

            $track->chatters = --$left < 0;

            return $track->chatters;
        };
    }
}
