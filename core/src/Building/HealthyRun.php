<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\SpiceDeck;
use OddSpark\Senses\Perception;
use OddSpark\Wiring\Nets;

/**
 * An appliance as it stands at a moment after the arrival of a visit: one that nothing is wrong with, where no fault is
 * given.
 *
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Supply from Nets
 */
final class HealthyRun
{
    private BenchState $state;

    private readonly Bench $bench;

    public readonly Nets $nets;

    /** @param int $tick ms after the arrival */
    public function __construct(
        public readonly Plan $plan,
        string $visit,
        int $tick,
        private readonly Memory $memory = new Memory(),
        ?Fault $fault = null,
    ) {
        $this->nets = new Nets($plan->model);
        $this->bench = new Bench($plan, $fault ?? Fault::none(), $memory);
        $state = $this->bench
            ->arrive($visit)
            ->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE);
        $state = $this->bench->resume($state);
        $this->state = $this->bench->watch($state, $tick, fn () => false);
    }

    /**
     * Goes on until something is so, or until a moment.
     *
     * @param callable(self): bool $so
     */
    public function until(int $tick, callable $so): bool
    {
        $reached = false;
        $this->state = $this->bench->watch($this->state, $tick, function (BenchState $s) use ($so, &$reached): bool {
            $this->state = $s;

            return $reached = $so($this);
        });

        return $reached;
    }

    /**
     * The same appliance from here on with something changed in it.
     *
     * @param Changes $set parameter => value
     * @param array<string, Slot> $slots what of the state stands otherwise
     * @return array{Bench, BenchState} its bench, and its state
     */
    public function changed(array $set, array $slots = []): array
    {
        $fault = new Fault('trial', '', 'trial', null, 'A trial', 'trial', $set, 1.0, 'set');
        $bench = new Bench($this->plan, $fault, $this->memory);
        $state = $this->state;
        $state = $state->withSlots($slots);
        $state = $bench->resume($state);
        // what has changed is felt at once, though nothing else moves
        $state = $state->on($bench->machine()->settle($state));

        return [$bench, $state];
    }

    public function tickNow(): int
    {
        return $this->state->now();
    }

    /** @return Slot the slot of a primitive or process element */
    public function slot(string $id): array
    {
        return $this->state->slots[$id] ?? [];
    }

    /** What a course has come to: degrees, inches. */
    public function value(string $id): float
    {
        return $this->surroundings()->value($id);
    }

    public function surroundings(): Surroundings
    {
        return new Surroundings($this->state->tick, $this->state->slots);
    }

    /** As a netlist for a general-purpose simulator, at this moment. */
    public function netlist(): string
    {
        return SpiceDeck::of($this->bench->machine(), $this->state, Fault::HEALTHY, $this->tickNow() / 1000);
    }

    /** Volts between two places, effective; of a DC circuit their size. */
    public function volts(string $a, string $b, bool $dc = false): float
    {
        [$m, $n] = [$this->plan->node($a), $this->plan->node($b)];
        if ($m === null || $n === null) {
            return 0.0;
        }
        $solution = $this->bench->machine()->solution($this->state);

        return $dc ? abs($solution->dcVolts($m, $n)) : $solution->acVolts($m, $n);
    }

    /**
     * Volts at every terminal, each against the return of the supply whose circuit it is in.
     *
     * @return array<string, array{volts: float, against: string, dc: bool}> by place
     */
    public function everywhere(): array
    {
        $found = [];
        foreach ($this->nets->supplies() as $supply) {
            $dc = in_array($supply['class'], ['millivolt', 'battery'], true);
            $circuit = $this->circuit($supply);
            foreach ($this->nets->places() as $net => $places) {
                foreach (isset($circuit[$net]) ? $places : [] as $place) {
                    $found[$place] ??= [
                        'volts' => round($this->volts($place, $supply['return'], $dc), $dc ? 4 : 2),
                        'against' => $supply['return'],
                        'dc' => $dc,
                    ];
                }
            }
        }
        ksort($found);

        return $found;
    }

    /**
     * Nets of a supply's circuit: all that its loads and switches lie between.
     *
     * @param Supply $supply
     * @return array<string, true>
     */
    private function circuit(array $supply): array
    {
        $nets = array_fill_keys(
            array_keys($this->nets->reached($this->nets->root($supply['hot']), [$this->nets->root($supply['return'])])),
            true,
        ) + [$this->nets->root($supply['return']) => true];
        foreach ($this->nets->elements() as $e) {
            // behind a load, toward home
            foreach ([[$e['a'], $e['b']], [$e['b'], $e['a']]] as [$near, $far]) {
                if ($e['load'] && isset($nets[$this->nets->root($near)])) {
                    $nets += array_fill_keys(
                        array_keys(
                            $this->nets->reached($this->nets->root($far), [$this->nets->root($supply['return'])]),
                        ),
                        true,
                    );
                }
            }
        }

        return $nets;
    }
}
