<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Measured;
use OddSpark\Instruments\Site;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Words\Words;

/**
 * What an instrument shows at moments of a model's visits, healthy or with a fault: read off a live run, by nobody's
 * hands.
 *
 * Volts are read where they stand. Amperes are read in series: one of the two places is an end of a wire, which is
 * taken off for it. Ohms are those of a part by itself: all wires are off it.
 *
 * @phpstan-type Moment array{visit: string, at_s: int|float, fault?: string, mode?: string, red?: string, black?: string,
 *     tap?: string, ...}
 */
final readonly class LiveReadings
{
    public const MODES = [
        Mode::VoltsAc, Mode::VoltsLow, Mode::VoltsDc, Mode::Millivolts, Mode::Ohms, Mode::Microamps, Mode::Milliamps,
        Mode::Amps,
    ];

    public function __construct(private Plan $plan, private Memory $memory = new Memory()) {}

    /**
     * @template K of array-key
     *
     * @param array<K, Moment> $rows
     * @return array<K, Measured|string> in their order; a sentence for what cannot be read
     */
    public function of(array $rows): array
    {
        $waiting = $taken = [];
        foreach ($rows as $i => $row) {
            $taken[$i] = $this->lacks($row) ?? '';
            if ($taken[$i] === '') {
                $waiting[$row['visit']][$row['fault'] ?? Fault::HEALTHY][$i] = $row;
            }
        }
        foreach ($waiting as $visit => $byFault) {
            foreach ($byFault as $fault => $of) {
                foreach ($this->run((string) $visit, (string) $fault, $of) as $i => $measured) {
                    $taken[$i] = $measured;
                }
            }
        }

        return $taken;
    }

    /**
     * One run, through the moments of all readings that are taken in it.
     *
     * @template K of array-key
     *
     * @param array<K, Moment> $rows
     * @return array<K, Measured>
     */
    private function run(string $visit, string $fault, array $rows): array
    {
        $bench = new Bench($this->plan, $this->fault($fault) ?? Fault::none(), $this->memory);
        $state = $bench->arrive($visit)->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE);
        $state = $bench->resume($state);
        uasort($rows, fn (array $a, array $b): int => $a['at_s'] <=> $b['at_s']);
        $taken = [];
        foreach ($rows as $i => $row) {
            $tick = (int) round(1000 * $row['at_s']);
            if ($tick > $state->now()) {
                $state = $bench->watch($state, $tick, fn (): bool => false);
            }
            $taken[$i] = $this->read($bench, $state, $row);
        }

        return $taken;
    }

    /** @param Moment $row that lacks nothing */
    private function read(Bench $bench, BenchState $state, array $row): Measured
    {
        if (isset($row['tap'])) {
            $instrument = Bag::atTaps()[$this->plan->model->taps()[$row['tap']]->instrument];

            return $instrument->at(new Site($this->plan, $bench->machine(), $state), $row['tap']);
        }
        $mode = Mode::from($row['mode'] ?? Mode::VoltsAc->value);
        $leads = [$row['red'] ?? '', $row['black'] ?? ''];
        if ($mode->isSeries() || $mode->wantsDead()) {
            $state = $state->withSlots($this->off($mode, $leads));
        }
        [$red, $black] = [(int) $this->plan->node($leads[0]), (int) $this->plan->node($leads[1])];
        $solution = $bench->machine()->solution($state, $red === $black ? null : [$red, $black, $mode->siemens()]);
        $exact = Meter::exact($mode, $solution, $red, $black);

        return new Measured($exact, Meter::show($mode, $exact));
    }

    /**
     * Ends of wires that are off while it is read.
     *
     * @param array{string, string} $leads
     * @return array<string, array<string, false>> slots of their bodies
     */
    private function off(Mode $mode, array $leads): array
    {
        $off = [];
        $parts = array_map(fn (string $place) => Model::split($place)[0], $leads);
        foreach ($this->plan->model->wires() as $wire) {
            foreach (['a', 'b'] as $end) {
                $isOff = $mode->isSeries()
                    ? in_array("$wire->id.$end", $leads, true)
                    : in_array(Model::split($wire->at($end))[0], $parts, true);
                if ($isOff) {
                    $off["$wire->id.body"][$end] = false;
                }
            }
        }

        return $off;
    }

    /**
     * Why it cannot be read, or not any more; null when it can.
     *
     * @param Moment $row
     */
    private function lacks(array $row): ?string
    {
        $model = $this->plan->model;
        if (! in_array($row['visit'], $model->visits(), true)) {
            return Words::say('building.live_readings.there_is_no_visit_any', ['visit' => $row['visit']]);
        }
        if (isset($row['fault']) && $this->fault($row['fault']) === null) {
            return Words::say('building.live_readings.is_no_fault_of_this', ['fault' => $row['fault']]);
        }
        if (isset($row['tap'])) {
            return $model->tap($row['tap']) !== null ? null : Words::say('building.live_readings.there_is_no_tap_any', [
                'tap' => $row['tap'],
            ]);
        }
        foreach (['red', 'black'] as $lead) {
            if ($this->plan->node($row[$lead] ?? '') === null) {
                return Words::say('building.live_readings.there_is_no_place_for', [
                    'row' => $row[$lead] ?? '',
                    'lead' => $lead,
                ]);
            }
        }

        return null;
    }

    private function fault(string $id): ?Fault
    {
        return $id === Fault::HEALTHY ? Fault::none() : FaultSet::of($this->plan->model)->faults[$id] ?? null;
    }
}
