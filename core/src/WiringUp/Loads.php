<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Primitives;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Wiring\Feeds;
use OddSpark\Wiring\Nets;

/**
 * What an appliance is wired for: its loads, each between two terminals, its motors and its fires. How they stand is
 * what two wirings of the same parts are compared by.
 *
 * How one stands: volts of a load, none where they are nothing to it; what a motor shows with its speed in hundredths
 * ("runs 94"), '' where it stands still; of a fire 1.0 or 0.0.
 */
final readonly class Loads
{
    /** Less than this share of what feeds a load is nothing to it. */
    private const OFF = 0.2;

    /**
     * Volts that lie so near are alike. A long wire takes some of 24 V that a load would not miss; of line volts 208
     * are another supply than 240. A rule of this product, no source.
     */
    private const ALIKE = 0.25;

    private const ALIKE_LINE = 0.12;

    private const LINE_V = 60.0;

    /** Speeds that lie so near are alike: two taps of a blower lie farther apart. Hundredths. */
    private const SPEEDS = 3;

    /** Less than this nothing is fed with. V */
    private const LEAST_V = 0.1;

    private const LEAST_MILLIVOLT = 0.02;

    /**
     * @param array<string, array{string, string, string, float}> $loads by id: two terminals, title, what is nothing, V
     * @param array<string, true> $fuel those of the loads that open a fuel valve
     * @param array<string, string> $motors title by id
     * @param array<string, string> $fires likewise
     */
    private function __construct(
        private array $loads,
        private array $fuel,
        private array $motors,
        private array $fires,
    ) {}

    public static function of(Plan $plan): self
    {
        $nets = new Nets($plan->model);
        $feeds = Feeds::of($nets);
        $loads = $fuel = [];
        foreach ($nets->elements() as $i => $e) {
            $id = "{$e['part']}.{$e['name']}";
            if ($e['load'] && isset($plan->places[$e['a']], $plan->places[$e['b']])) {
                $volts = $feeds[$id] ?? 24.0;
                $least = $volts < 1.0 ? self::LEAST_MILLIVOLT : self::LEAST_V;
                $loads[isset($loads[$id]) ? "$id $i" : $id] = [
                    $e['a'], $e['b'], $nets->title($e), max($least, self::OFF * $volts),
                ];
                $kind = $plan->model->kindOf($e['part']);
                if ($kind?->isFuelValve() === true && $kind->opensByItself($e['name'])) {
                    $fuel[$id] = true;
                }
            }
        }
        $title = fn (string $id): string => $plan->model->part(Model::split($id)[0])->label ?? $id;
        $motors = $fires = [];
        foreach ($plan->those(Turns::class) as $id) {
            $motors["$id turns"] = $title($id);
        }
        foreach ($plan->those(Burns::class) as $id) {
            $fires["$id burns"] = $title($id);
        }

        return new self($loads, $fuel, $motors, $fires);
    }

    /** @return list<string> */
    public function ids(): array
    {
        return [...array_keys($this->loads), ...array_keys($this->motors), ...array_keys($this->fires)];
    }

    /** @return array<string, float|string> how each stands */
    public function at(Machine $machine, MachineState $state): array
    {
        $places = $machine->plan->places;
        $solution = $machine->solution($state);
        $at = [];
        foreach ($this->loads as $id => [$a, $b, , $least]) {
            [$m, $n] = [$places[$a], $places[$b]];
            $volts = $m === $n ? 0.0 : max($solution->acVolts($m, $n), abs($solution->dcVolts($m, $n)));
            $at[$id] = $volts < $least ? 0.0 : $volts;
        }
        foreach ($this->motors as $id => $_) {
            $motor = (string) strstr($id, ' ', true);
            $shows = $machine->shows($state, $motor);
            /** @var class-string<Turns> $class */
            $class = Primitives::TYPES[$machine->plan->primitives[$motor]['type']];
            $at[$id] = $shows === '' ? '' : "$shows ".round(100 * $class::speed($state->slots[$motor]));
        }
        foreach ($this->fires as $id => $_) {
            $at[$id] = $state->slots[(string) strstr($id, ' ', true)]['lit'] ? 1.0 : 0.0;
        }

        return $at;
    }

    public static function areAlike(float|string $x, float|string $y): bool
    {
        if (is_string($x) || is_string($y)) {
            [$x, $y] = [explode(' ', (string) $x), explode(' ', (string) $y)];

            return $x[0] === $y[0] && abs((int) ($x[1] ?? 0) - (int) ($y[1] ?? 0)) <= self::SPEEDS;
        }

        return abs($x - $y) <= (max($x, $y) > self::LINE_V ? self::ALIKE_LINE : self::ALIKE) * max($x, $y);
    }

    public static function isOn(float|string $how): bool
    {
        return is_string($how) ? $how !== '' : $how > 0.0;
    }

    public function title(string $id): string
    {
        return $this->loads[$id][2] ?? $this->motors[$id] ?? $this->fires[$id];
    }

    /**
     * What several are called together: a part by its name alone where all of it is meant.
     *
     * @param array<string> $ids
     * @return list<string>
     */
    public function titles(array $ids): array
    {
        $part = fn (string $id): string => explode(': ', $this->title($id))[0];
        $all = array_count_values(array_map($part, $this->ids()));
        $meant = array_count_values(array_map($part, array_values($ids)));

        return array_values(array_unique(array_map(
            fn (string $id): string => $meant[$part($id)] === $all[$part($id)] ? $part($id) : $this->title($id),
            array_values($ids),
        )));
    }

    public function isFire(string $id): bool
    {
        return isset($this->fires[$id]);
    }

    /** Whether it is what a motor does, and not what it is fed with. */
    public function isMotor(string $id): bool
    {
        return isset($this->motors[$id]);
    }

    /** Whether fuel flows or burns by it. */
    public function isOfFuel(string $id): bool
    {
        return isset($this->fuel[$id]) || isset($this->fires[$id]);
    }

    /** @return array{string, string}|null the terminals of a load */
    public function terminals(string $id): ?array
    {
        return isset($this->loads[$id]) ? [$this->loads[$id][0], $this->loads[$id][1]] : null;
    }
}
