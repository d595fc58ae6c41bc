<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Senses\Complaint;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;
use OddSpark\Trade\Course;

/**
 * The time before a visit: the appliance runs with its fault, the household lives with it, until somebody
 * who can mend it stands in front of it. What he is told is true of that run.
 */
final readonly class Visit
{
    public function __construct(
        private Plan $plan,
        private Fault $fault,
        private Machine $machine,
        private Perception $perception,
        private Memory $memory,
    ) {}

    /**
     * A lever that the fault itself has moved is left alone by the household.
     *
     * @throws \OutOfBoundsException when the model has no such visit
     */
    public function arrive(string $visit): Arrival
    {
        $story = $this->plan->model->document['visits'][$visit] ?? throw new \OutOfBoundsException("This model has no visit \"$visit\".");
        $heard = new Record();
        $appears = $this->fault->gradual ? 0 : ($story['appears_s'] ?? 0) * 1000;
        $healthy = $appears > 0 ? new Machine($this->plan, [], $this->memory) : $this->machine;
        $state = $healthy->settle($healthy->initial());
        $on = $healthy;
        $listen = function (array $s) use ($heard, &$on): bool {
            $heard->see($s['tick'], $this->perception->at($on, $s, true));

            return false;
        };
        $listen($state);
        if ($appears > 0) {
            $state = $healthy->advance($state, $appears, $listen);
            $on = $this->machine;
            $state = $this->begins($state);
        }
        $noticed = $state = $this->machine->advance($state, $story['notices_s'] * 1000, $listen);
        $until = $heard->until($noticed['tick']);
        foreach ($story['household'] as $doing) {
            $state = $this->machine->advance($state, $doing['at_s'] * 1000, $listen);
            $id = "{$doing['part']}.{$doing['lever']}";
            if (! isset($this->fault->set["$id.at"])) {
                $state['slots'][$id]['at'] = $doing['to'];
                $state = $this->machine->settle($state);
            }
        }
        $state = $this->whenCalled($state, $story['arrives'], $listen);
        if ($story['household'] === []) { // it called as it was
            $noticed = $state;
            $until = $heard->until($state['tick']);
        }
        $thermostat = $this->findThermostat();
        $complaint = Complaint::of($until, [
            'room_f' => Course::at($noticed['slots'][$this->plan->primitives["$thermostat.logic"]['spec']['room']]['course'], $noticed['tick']),
            'set_f' => (float) $story['set_f'],
            'display' => $this->machine->shows($state, "$thermostat.logic"),
            'calling' => $noticed['slots']["$thermostat.logic"]['heat'] ?? false,
        ]);
        $state += [
            'zero' => $state['tick'], 'door' => 'shut', 'held' => false, 'mended' => [], 'labour' => 0.0, 'acts' => 0,
        ] + Instruments::PUT_AWAY;

        return new Arrival($state, $complaint);
    }

    /**
     * The fault appears in an appliance that was running: its levers are moved, the rest follows.
     *
     * @param array{tick: int, slots: array<string, array<string, mixed>>} $state
     * @return array{tick: int, slots: array<string, array<string, mixed>>}
     */
    private function begins(array $state): array
    {
        foreach ($this->fault->set as $path => $value) {
            if (str_ends_with($path, '.at')) {
                $state['slots'][substr($path, 0, -3)]['at'] = $value;
            }
        }

        return $this->machine->settle($state);
    }

    /**
     * On to the arrival: some time after a moment, or after a percept is no longer as it should be.
     *
     * @param array{tick: int, slots: array<string, array<string, mixed>>} $state
     * @param array<string, mixed> $arrives after_s; or unlike: {channel: value} with after_s and at_most_s
     * @return array{tick: int, slots: array<string, array<string, mixed>>}
     */
    private function whenCalled(array $state, array $arrives, callable $listen): array
    {
        if (isset($arrives['unlike'])) {
            $strange = function (array $s) use ($arrives, $listen): bool {
                $listen($s);
                foreach ($arrives['unlike'] as $channel => $value) {
                    if ($this->machine->shows($s, $this->plan->percepts[$channel]['of']) !== $value) {
                        return true;
                    }
                }

                return false;
            };
            if (! $strange($state)) {
                $state = $this->machine->advance($state, $arrives['at_most_s'] * 1000, $strange);
            }
        }

        return $this->machine->advance($state, $state['tick'] + $arrives['after_s'] * 1000, $listen);
    }

    private function findThermostat(): string
    {
        foreach ($this->plan->model->document['parts'] as $part) {
            if ($this->plan->model->document['kinds'][$part['kind']]['family'] === 'thermostat') {
                return $part['id'];
            }
        }

        return '';
    }
}
