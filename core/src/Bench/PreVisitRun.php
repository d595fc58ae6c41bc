<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Doing;
use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Household;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Visit;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Answers;
use OddSpark\Senses\Complaint;
use OddSpark\Senses\Lived;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;
use OddSpark\Words\Words;

/**
 * The time before a visit: the appliance runs with its fault, the household lives with it, until somebody
 * who can mend it stands in front of it. What he is told is true of that run.
 *
 * @phpstan-import-type Joint from MachineState
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type RoomKnown from Lived
 */
final readonly class PreVisitRun
{
    public function __construct(
        private Plan $plan,
        private Fault $fault,
        private Machine $machine,
        private Perception $perception,
        private Memory $memory,
        /** @var list<Joint> that belong to the fault */
        private array $jumpers,
    ) {}

    /**
     * A lever that the fault itself has moved is left alone by the household.
     *
     * @throws \OutOfBoundsException when the model has no such visit
     */
    public function arrive(string $visit): Arrival
    {
        $story = $this->plan->model->visit($visit);
        $heard = new Record();
        $appears = $this->fault->gradual ? 0 : $story->appears;
        $on = $appears > 0 ? new Machine($this->plan, [], $this->memory) : $this->machine;
        $listen = function (MachineState $s) use ($heard, &$on): bool {
            $heard->see($s->tick, $this->perception->at($on, $s, Doors::ALL, Perception::EVERYWHERE));

            return false;
        };
        $state = $on->settle($appears > 0 ? $on->initial() : $on->initial()->with(joined: $this->jumpers));
        $calls = new OpenCalls($this->plan->model->household());
        $record = $listen;
        $listen = function (MachineState $s) use ($record, $calls): bool {
            $calls->hear($s);

            return $record($s);
        };
        $listen($state);
        $noticed = $state;
        $until = $waiting = $called = $open = [];
        $doors = $this->plan->model->doors();
        foreach ($this->timeline($story, $appears) as [$tick, $what, $doing]) {
            $state = $on->advance($state, $tick, $listen);
            if ($what === 'appears') {
                $on = $this->machine;
                $state = $this->begins($state);
                $listen($state); // what stops with it stops now
            } elseif ($what === 'notices') {
                $noticed = $state;
                $until = $heard->until($state->tick);
                $waiting = $calls->waiting($state->tick);
                $called = $calls->until($state->tick);
            } elseif ($doing !== null) {
                $open = $doing->door === null ? $open : $doors->moved($open, $doing->door, $doing->to === 'open');
                $state = $on->settle($state->withSlots($this->moved($doing, $open)));
                $listen($state);
            }
        }
        $state = $this->whenCalled($state, $story, $listen);
        if ($story->isCalledAsItWas()) {
            $noticed = $state;
            $until = $heard->until($state->tick);
            $waiting = $calls->waiting($state->tick);
            $called = $calls->until($state->tick);
        }
        $household = $this->plan->model->household();
        $lived = Lived::by(
            $household,
            $noticed,
            $until,
            $this->rooms($household, $noticed, $state, $waiting),
            $called,
            new Lived($heard->until($state->tick), [], $calls->until($state->tick)),
        );
        $complaint = Complaint::of($household, $lived);
        $touched = array_map($this->did(...), $story->household);
        $answers = Answers::of($household, $lived, $this->outside($state), $touched, $state->tick);

        $found = new BenchState(
            $state->tick,
            $state->slots,
            $state->tick,
            $answers,
            open: $open,
            wanted: $this->wanted($story),
            joined: $state->joined,
        );

        return new Arrival($found, $complaint);
    }

    /**
     * What happens before the visit, in order: the household's doings, the fault, and when somebody takes notice.
     *
     * @return list<array{int, string, Doing|null}> tick; appears, notices or does; and what
     */
    private function timeline(Visit $story, int $appears): array
    {
        $line = [[$story->notices, 'notices', null]];
        if ($appears > 0) {
            $line[] = [$appears, 'appears', null];
        }
        foreach ($story->household as $doing) {
            $line[] = [$doing->tick, 'does', $doing];
        }
        $order = ['appears' => 0, 'notices' => 1, 'does' => 2];
        usort($line, fn (array $a, array $b) => [$a[0], $order[$a[1]]] <=> [$b[0], $order[$b[1]]]);

        return $line;
    }

    /**
     * Thermostats and programmers as the household has them, whatever the fault did to them.
     *
     * @return array<string, string|int|float> position by lever
     */
    private function wanted(Visit $story): array
    {
        $wanted = [];
        foreach ($this->plan->model->parts() as $part) {
            foreach ($part->kind->isThermostat() ? array_keys($part->kind->settings) : [] as $lever) {
                $wanted["$part->id.$lever"] = $this->plan->given("$part->id.$lever.at");
            }
        }
        foreach ($story->household as $doing) {
            if ($doing->lever !== null && isset($wanted["$doing->part.$doing->lever"])) {
                $wanted["$doing->part.$doing->lever"] = $doing->to;
            }
        }

        return $wanted;
    }

    /**
     * What people move, but for what the fault itself has moved.
     *
     * @param list<string> $open doors, once it is done
     * @return array<string, Slot> changes of slots
     */
    private function moved(Doing $doing, array $open): array
    {
        $model = $this->plan->model;
        $moved = match (true) {
            $doing->door !== null => $model->doors()->switches($open, []),
            $doing->lever !== null => ["$doing->part.$doing->lever" => ['at' => $doing->to]],
            default => $model->part((string) $doing->part)?->reset() ?? [],
        };

        return array_filter(
            $moved,
            fn (string $id): bool => ! isset($this->fault->set["$id.at"]),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * The fault appears in an appliance that was running: its levers are moved, the rest follows.
     */
    private function begins(MachineState $state): MachineState
    {
        $levers = [];
        foreach ($this->fault->set as $path => $value) {
            if (str_ends_with($path, '.at')) {
                $levers[substr($path, 0, -3)] = ['at' => $value];
            }
        }

        return $this->machine->settle($state->withSlots($levers)->with(joined: $this->jumpers));
    }

    /**
     * On to the arrival: some time after a moment, or after a percept is no longer as it should be.
     */
    private function whenCalled(MachineState $state, Visit $visit, callable $listen): MachineState
    {
        if ($visit->unlike !== null) {
            $strange = function (MachineState $s) use ($visit, $listen): bool {
                $listen($s);
                foreach ($visit->unlike as $channel => $value) {
                    if ($this->machine->shows($s, $this->plan->percepts[$channel]['of']) !== $value) {
                        return true;
                    }
                }

                return false;
            };
            if (! $strange($state)) {
                $state = $this->machine->advance($state, $visit->atMost, $strange);
            }
        }

        return $this->machine->advance($state, $state->tick + $visit->after, $listen);
    }

    /** What somebody did, as he says it: "set the thermostat, mode, to off". */
    private function did(Doing $doing): string
    {
        $model = $this->plan->model;
        $label = lcfirst($model->part((string) $doing->part)->label ?? '');
        if ($doing->door !== null) {
            $door = lcfirst($model->doors()->get($doing->door)->label ?? $doing->door);

            return $doing->to === 'open' ? Words::say('bench.pre_visit_run.took_off_the', [
                'door' => $door,
            ]) : Words::say('bench.pre_visit_run.put_the_on', [
                'door' => $door,
            ]);
        }
        $setting = $model->kindOf((string) $doing->part)->settings[$doing->lever ?? ''] ?? null;

        return $setting === null
            ? Words::say('bench.pre_visit_run.pressed_the_reset_of_the', ['label' => $label])
            : rtrim(Words::say('bench.pre_visit_run.set_the_to', [
                'label' => $label,
                'setting' => $setting->label,
                'to' => $doing->to,
                'unit' => is_numeric($doing->to) ? $setting->unit : '',
            ]));
    }

    /** What is to be read off a display, in the words of who sees it: "display lit, calling for heat". */
    private function displayed(MachineState $found, string $display): string
    {
        $shown = $this->machine->shows($found, $display);
        foreach ($this->plan->percepts as $channel => $percept) {
            if ($percept['sense'] === 'sight' && $percept['of'] === $display) {
                return $this->perception->how($channel, $shown);
            }
        }

        return $shown;
    }

    /** @return list<string> what is to be seen from outside: "board lamp 3 flashes" */
    private function outside(MachineState $found): array
    {
        $said = [];
        foreach ($this->plan->percepts as $channel => $percept) {
            if ($percept['sense'] === 'sight' && $percept['from'] === 'outside') {
                $said[] = $this->perception->say($channel, $this->machine->shows($found, $percept['of']));
            }
        }

        return $said;
    }

    /**
     * The rooms as the household knew them: warm or not and calling when it last took notice, blank at the arrival.
     *
     * @param list<string> $waiting those that have been calling for a while
     * @return list<RoomKnown>
     */
    private function rooms(Household $household, MachineState $noticed, MachineState $found, array $waiting): array
    {
        return array_map(fn (array $room) => [
            'name' => $room['name'],
            'now' => $noticed->value($room['of']),
            'wants' => $room['wants'],
            'shows' => $room['display'] === null ? null : $this->displayed($found, $room['display']),
            'blank' => $room['display'] !== null && $this->machine->shows($found, $room['display']) === 'blank',
            'calling' => in_array($room['of'], $waiting, true),
        ], $household->rooms);
    }
}
