<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Instruments\Logger;
use OddSpark\Instruments\Multimeter;
use OddSpark\Parts\Ability\IsMains;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;

/**
 * What an appliance is made of by now, with what is mended and fitted, and what a hand has put on its circuit.
 *
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Joint from MachineState
 */
final readonly class Hookup
{
    public function __construct(
        private Plan $plan,
        private Fault $fault,
        private Memory $memory,
        private ?int $seed,
        private Multimeter $meter,
    ) {}

    /** @return list<mixed> what a hand has put on the circuit */
    public static function onTheCircuit(BenchState $state): array
    {
        return [
            $state->red,
            $state->black,
            $state->mode,
            $state->loose,
            $state->blown,
            $state->jumpers,
            $state->earlier,
            $state->logged,
            $state->loggerMode,
        ];
    }

    /** The meter and the jumpers on the circuit, as the state has them. */
    public function connected(BenchState $state): BenchState
    {
        $meter = $this->meter->load($this->plan, $state);

        return $state->with(joined: [...$this->unmetered($state)->joined, ...$meter === null ? [] : [$meter]]);
    }

    /** The jumpers and a logger on the circuit, and the meter off it, its leads where they are. */
    public function unmetered(BenchState $state): BenchState
    {
        return $state->with(joined: [...$this->jumpers($state), ...Logger::load($this->plan, $state)]);
    }

    /** @return list<Joint> */
    public function jumpers(BenchState $state): array
    {
        $landed = array_filter($state->earlier, fn (array $jumper): bool => $state->isLanded($jumper[0]));

        return Machine::jumpers($this->pairs([...$state->jumpers, ...$landed]));
    }

    /**
     * @param array<array{string, string}> $jumpers places
     * @return list<array{int, int}> nodes
     */
    public function pairs(array $jumpers): array
    {
        return array_map(
            fn (array $j): array => [$this->plan->places[$j[0]], $this->plan->places[$j[1]]],
            array_values($jumpers),
        );
    }

    public function machineOf(BenchState $state): Machine
    {
        return $this->machineWith($state->mended, $state->fitted, array_keys($state->off), [
            ...array_fill_keys(array_map(fn (string $id): string => "$id.off", $this->cutOff($state)), true),
            ...array_merge([], ...array_values($state->heads)),
        ]);
    }

    /**
     * @param list<string> $mended
     * @param Changes $fitted
     * @param list<string> $off parts
     * @param Changes $stands what hands have made otherwise
     */
    public function machineWith(array $mended, array $fitted, array $off = [], array $stands = []): Machine
    {
        $set = $stands + $this->takenOff($off) + $this->changed($mended, $fitted);

        return new Machine(
            $this->plan,
            $set + ($this->seed === null ? [] : Scatter::of($this->plan, $this->seed, $set)),
            $this->memory,
        );
    }

    /**
     * All that the machine is built of beside the document: when any of it changes, it is built anew.
     *
     * @return list<mixed>
     */
    public function builtOf(BenchState $state): array
    {
        return [$state->mended, $state->fitted, $state->off, $state->heads, $this->cutOff($state)];
    }

    /** @return list<string> supplies whose main switch stands at off */
    private function cutOff(BenchState $state): array
    {
        $cut = [];
        foreach ($this->plan->those(IsMains::class) as $id) {
            $main = $this->plan->primitives[$id]['spec']['main'] ?? null;
            if ($main !== null && $state->at(Model::split($id)[0].".$main") === 'off') {
                $cut[] = $id;
            }
        }

        return $cut;
    }

    /**
     * What no longer passes or conducts of parts that are in the hand.
     *
     * @param list<string> $off
     * @return Changes
     */
    private function takenOff(array $off): array
    {
        $set = [];
        foreach ($off as $part) {
            foreach ($this->plan->model->part($part)->kind->primitives ?? [] as $name => $spec) {
                foreach ($spec->class::takenOff() as $figure => $value) {
                    $set["$part.$name.$figure"] = $value;
                }
            }
        }

        return $set;
    }

    /**
     * Parameters that are not the document's: of the fault, as far as it is not mended, and of what was fitted.
     *
     * @param list<string> $mended
     * @param Changes $fitted
     * @return Changes
     */
    public function changed(array $mended, array $fitted): array
    {
        return $fitted + $this->fault->left($mended);
    }
}
