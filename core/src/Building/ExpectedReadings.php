<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Shapes;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Site;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;

/**
 * What an instructor expects of his model: readings at moments of its visits, with a fault or without, and between what
 * figures each is right. They are run with the model as it is now, and those that no longer hold are told.
 *
 * @phpstan-import-type ExpectedDocument from Shapes
 * @phpstan-type Outcome array{shows: string|null, value: float|null, holds: bool|null, says: string|null}
 */
final readonly class ExpectedReadings
{
    /** Modes of the meter that can be expected: those that are read live. */
    public const MODES = [Mode::VoltsAc, Mode::VoltsLow, Mode::VoltsDc, Mode::Millivolts];

    public function __construct(private Plan $plan, private Memory $memory = new Memory()) {}

    /**
     * @return list<Outcome> for each of the model's expected readings, in their order: what is shown, without the
     *     noise of the instrument, its figure in the unit of the mode (null for none), whether it is right (null while
     *     nothing has been said to be), and a sentence when it is not or cannot be read
     */
    public function outcomes(): array
    {
        $outcomes = $waiting = [];
        foreach ($this->plan->model->expected() as $i => $row) {
            $lacks = $this->lacks($row);
            if ($lacks !== null) {
                $outcomes[$i] = self::unread($lacks);
            } else {
                $waiting[$row['visit']][$row['fault'] ?? Fault::HEALTHY][$i] = $row;
            }
        }
        foreach ($waiting as $visit => $byFault) {
            foreach ($byFault as $fault => $rows) {
                $outcomes += $this->run((string) $visit, (string) $fault, $rows);
            }
        }
        ksort($outcomes);

        return array_values($outcomes);
    }

    /**
     * One run, through the moments of all readings that are taken in it.
     *
     * @param array<int, ExpectedDocument> $rows
     * @return array<int, Outcome>
     */
    private function run(string $visit, string $fault, array $rows): array
    {
        $bench = new Bench($this->plan, $this->fault($fault) ?? Fault::none(), $this->memory);
        $state = $bench->arrive($visit)->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE);
        $state = $bench->resume($state);
        uasort($rows, fn (array $a, array $b): int => $a['at_s'] <=> $b['at_s']);
        $outcomes = [];
        foreach ($rows as $i => $row) {
            $tick = (int) round(1000 * $row['at_s']);
            if ($tick > $state->now()) {
                $state = $bench->watch($state, $tick, fn (): bool => false);
            }
            $outcomes[$i] = self::judged($row, $this->read($bench, $state, $row));
        }

        return $outcomes;
    }

    /** @param ExpectedDocument $row */
    private function read(Bench $bench, BenchState $state, array $row): Reading
    {
        if (isset($row['tap'])) {
            $instrument = Bag::atTaps()[$this->plan->model->taps()[$row['tap']]->instrument];

            return $instrument->at(new Site($this->plan, $bench->machine(), $state), $row['tap'])->reading;
        }
        $mode = Mode::from($row['mode']);
        [$red, $black] = [(int) $this->plan->node($row['red']), (int) $this->plan->node($row['black'])];
        $solution = $bench->machine()->solution($state, $red === $black ? null : [$red, $black, $mode->siemens()]);

        return Meter::show($mode, Meter::exact($mode, $solution, $red, $black));
    }

    /**
     * @param ExpectedDocument $row
     * @return Outcome
     */
    private static function judged(array $row, Reading $reading): array
    {
        [$least, $most] = [$row['least'] ?? null, $row['most'] ?? null];
        $value = is_finite($reading->value) ? $reading->value : null;
        $outcome = ['shows' => $reading->text(), 'value' => $value, 'holds' => null, 'says' => null];
        if ($least === null && $most === null) {
            return $outcome;
        }
        $outcome['holds'] =
            $value !== null && ($least === null || $value >= $least) && ($most === null || $value <= $most);
        if (! $outcome['holds']) {
            $right = match (true) {
                $least === null => sprintf('at most %g', $most),
                $most === null => sprintf('%g or more', $least),
                default => sprintf('%g to %g', $least, $most),
            };
            $outcome['says'] = "It shows {$reading->text()}; right is $right.";
        }

        return $outcome;
    }

    /**
     * Why it cannot be read any more, or not yet; null when it can.
     *
     * @param ExpectedDocument $row
     */
    private function lacks(array $row): ?string
    {
        $model = $this->plan->model;
        if (! in_array($row['visit'], $model->visits(), true)) {
            return "There is no visit \"{$row['visit']}\" any more.";
        }
        if (isset($row['fault']) && $this->fault($row['fault']) === null) {
            return "\"{$row['fault']}\" is no fault of this model any more.";
        }
        if (isset($row['tap'])) {
            return $model->tap($row['tap']) !== null ? null : "There is no tap \"{$row['tap']}\" any more.";
        }
        foreach (['red', 'black'] as $lead) {
            if ($this->plan->node($row[$lead] ?? '') === null) {
                return 'There is no place "'.($row[$lead] ?? '')."\" for the $lead lead any more.";
            }
        }

        return null;
    }

    private function fault(string $id): ?Fault
    {
        return $id === Fault::HEALTHY ? Fault::none() : FaultSet::of($this->plan->model)->faults[$id] ?? null;
    }

    /** @return Outcome */
    private static function unread(string $says): array
    {
        return ['shows' => null, 'value' => null, 'holds' => false, 'says' => $says];
    }
}
