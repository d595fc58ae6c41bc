<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Universe;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;

/**
 * Which faults of a model any observation can tell apart, by brute force.
 *
 * Every fault is taken through one long visit: arrival, door off and switch held, a heating cycle to
 * its end and beyond, the fan alone; at every moment the volts of every pair of places, all sounds
 * and sights; then the power off, every part looked at, and every part and wire measured in ohms
 * with one end lifted. Two faults are told apart when something differs by more than meter and
 * clock can miss.
 */
final class Classes
{
    private const CALL_ENDS_S = 900;

    private const FAN_S = 1200;

    private const POWER_OFF_S = 1260;

    /** @var array<string, array{record: array<string, list<array{int, int, mixed}>>, looks: array<string, mixed>, ohms: list<float>}> */
    private array $evidence = [];

    /** @var array<string, int> states met, by what they electrically are */
    private array $circuits = [];

    /** @var list<list<float>> volts of every pair in each state */
    private array $volts = [];

    /** @var array<string, bool> whether two states read the same everywhere */
    private array $alike = [];

    /** @var list<array{string, string}> */
    private readonly array $pairs;

    private readonly Comparison $comparison;

    public function __construct(
        private readonly Plan $plan,
        private readonly Universe $universe,
        private readonly string $visit,
        private readonly Memory $memory = new Memory(),
    ) {
        $this->pairs = (new BestReading($plan))->pairs();
        $this->comparison = new Comparison([0, self::CALL_ENDS_S * 1000, self::FAN_S * 1000, self::POWER_OFF_S * 1000]);
        foreach ($universe->faults as $id => $fault) {
            $this->evidence[$id] = $this->examine(new Bench($plan, $fault, $memory));
        }
    }

    /** @return list<list<string>> the classes, largest first: faults that nothing here tells apart, directly or through others */
    public function all(): array
    {
        return $this->group(fn (string $a, string $b) => $this->apart($a, $b));
    }

    /** Whether any observation tells the two apart. */
    public function apart(string $a, string $b): bool
    {
        return $this->apartByLooks($a, $b) || $this->apartByOhms($a, $b) || $this->apartLive($a, $b);
    }

    /**
     * Pairs that are told apart, but only by when: with the same things to see, hear and measure at
     * one time or another of the visit, and with the power off.
     *
     * @return list<array{string, string}>
     */
    public function pairsByWhen(): array
    {
        return $this->pairsWhere(fn (string $a, string $b) => ! $this->apartByLooks($a, $b) && ! $this->apartByOhms($a, $b)
            && ! $this->apartByWhat($a, $b) && $this->apartLive($a, $b));
    }

    /**
     * Pairs that only ohms with the power off tell apart.
     *
     * @return list<array{string, string}>
     */
    public function pairsByOhms(): array
    {
        return $this->pairsWhere(fn (string $a, string $b) => ! $this->apartByLooks($a, $b) && $this->apartByOhms($a, $b) && ! $this->apartLive($a, $b));
    }

    /** @return list<array{string, string}> */
    private function pairsWhere(callable $is): array
    {
        $found = [];
        $ids = array_keys($this->evidence);
        foreach ($ids as $i => $a) {
            for ($j = $i + 1; $j < count($ids); $j++) {
                if ($is($a, $ids[$j])) {
                    $found[] = [$a, $ids[$j]];
                }
            }
        }

        return $found;
    }

    /** @return list<list<string>> */
    private function group(callable $apart): array
    {
        $classes = [];
        foreach (array_keys($this->evidence) as $id) {
            $joined = [$id];
            foreach ($classes as $c => $members) {
                foreach ($members as $member) {
                    if (! $apart($id, $member)) {
                        $joined = [...$members, ...$joined];
                        unset($classes[$c]);
                        break;
                    }
                }
            }
            $classes[] = $joined;
        }
        usort($classes, fn ($a, $b) => count($b) <=> count($a));

        return $classes;
    }

    private function apartByLooks(string $a, string $b): bool
    {
        return $this->evidence[$a]['looks'] !== $this->evidence[$b]['looks'];
    }

    private function apartByOhms(string $a, string $b): bool
    {
        foreach ($this->evidence[$a]['ohms'] as $i => $ohm) {
            if (! self::same(Mode::Ohms, $ohm, $this->evidence[$b]['ohms'][$i])) {
                return true;
            }
        }

        return false;
    }

    private function apartLive(string $a, string $b): bool
    {
        $x = $this->evidence[$a]['record'];
        $y = $this->evidence[$b]['record'];

        return ! $this->comparison->agreesBy($x, $y, fn (string $channel) => $channel === 'circuit'
            ? fn (int $p, int $q) => $this->readAlike($p, $q)
            : fn (mixed $p, mixed $q) => $p === $q);
    }

    /** Whether the one shows something, at any time, that the other never shows. */
    private function apartByWhat(string $a, string $b): bool
    {
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            foreach ($this->evidence[$one]['record'] as $channel => $stretches) {
                foreach ($stretches as [$from, $to, $value]) {
                    if ($to - $from < 1000) {
                        continue;
                    }
                    $found = false;
                    foreach ($this->evidence[$other]['record'][$channel] ?? [] as [, , $v]) {
                        if ($channel === 'circuit' ? $this->readAlike($value, $v) : $value === $v) {
                            $found = true;
                            break;
                        }
                    }
                    if (! $found) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private function readAlike(int $p, int $q): bool
    {
        if ($p === $q) {
            return true;
        }
        $key = $p < $q ? "$p-$q" : "$q-$p";
        if (! isset($this->alike[$key])) {
            $this->alike[$key] = true;
            foreach ($this->volts[$p] as $i => $v) {
                if (! self::same(Mode::VoltsAc, $v, $this->volts[$q][$i])) {
                    $this->alike[$key] = false;
                    break;
                }
            }
        }

        return $this->alike[$key];
    }

    private static function same(Mode $mode, float $a, float $b): bool
    {
        if (! is_finite($a) || ! is_finite($b)) {
            return is_nan($a) === is_nan($b) && is_infinite($a) === is_infinite($b);
        }

        return abs($a - $b) <= Meter::tolerance($mode, max(abs($a), abs($b)));
    }

    /** @return array{record: array<string, list<array{int, int, mixed}>>, looks: array<string, mixed>, ohms: list<float>} */
    private function examine(Bench $bench): array
    {
        $state = ['eyes' => Perception::EVERYWHERE] + $bench->arrive($this->visit)->state;
        $bench->resume($state);
        $act = fn (int $s, string $name, array $with) => new Act($s * 1000, $name, $with);
        $record = new Record();
        $watch = function (array $s) use ($bench, $record): bool {
            $record->see($s['tick'] - $s['zero'], $bench->now($s) + ['circuit' => $this->circuit($bench, $s)]);

            return false;
        };
        $thermostat = null;
        foreach ($this->plan->model->document['parts'] as $part) {
            if ($this->plan->model->document['kinds'][$part['kind']]['family'] === 'thermostat') {
                $thermostat = $part['id'];
            }
        }
        $script = [
            $act(0, 'door', ['to' => 'open']),
            $act(0, 'hold', ['to' => 'held']),
            $act(0, 'set', ['part' => $thermostat, 'lever' => 'set', 'to' => 76]),
            $act(self::CALL_ENDS_S, 'set', ['part' => $thermostat, 'lever' => 'set', 'to' => 50]),
            $act(self::FAN_S, 'set', ['part' => $thermostat, 'lever' => 'fan', 'to' => 'on']),
        ];
        $looks = [];
        foreach ($this->plan->model->document['parts'] as $part) {
            $looks[$part['id']] = $bench->glance(['door' => 'open'] + $state, $part['id']);
        }
        foreach ($script as $step) {
            $state = $bench->watch($state, $step->tick, $watch);
            [$state] = $bench->do($state, $step);
            $watch($state);
        }
        $state = $bench->watch($state, self::POWER_OFF_S * 1000, $watch);
        [$state] = $bench->do($state, $act(self::POWER_OFF_S, 'hold', ['to' => 'released']));
        $watch($state);
        $state = $bench->watch($state, self::POWER_OFF_S * 1000 + 20_000, $watch);

        return ['record' => $record->until($state['tick'] - $state['zero']), 'looks' => $looks, 'ohms' => $this->ohms($bench, $state)];
    }

    /** @param array<string, mixed> $state */
    private function circuit(Bench $bench, array $state): int
    {
        $solution = $bench->machine()->solution($state);
        $key = $bench->machine()->key($state);
        if (! isset($this->circuits[$key])) {
            $this->circuits[$key] = count($this->volts);
            $volts = [];
            foreach ($this->pairs as [$a, $b]) {
                $volts[] = $solution->acVolts($this->plan->places[$a], $this->plan->places[$b]);
            }
            $this->volts[] = $volts;
        }

        return $this->circuits[$key];
    }

    /**
     * Ohms of every part and wire with one end free, the main supply off.
     *
     * @param array<string, mixed> $state
     * @return list<float>
     */
    private function ohms(Bench $bench, array $state): array
    {
        $model = $this->plan->model;
        $ohms = [];
        $measure = function (array $lifted, string $a, string $b) use ($bench, $state, &$ohms): void {
            foreach ($lifted as [$wire, $end]) {
                $state['slots']["$wire.body"][$end] = false;
            }
            $ohms[] = Meter::exact(Mode::Ohms, $bench->machine()->solution($state), $this->plan->places[$a], $this->plan->places[$b]);
        };
        $at = [];
        foreach ($model->document['wires'] as $wire) {
            $at[$wire['from']][] = [$wire['id'], 'a'];
            $at[$wire['to']][] = [$wire['id'], 'b'];
        }
        foreach ($model->document['parts'] as $part) {
            $terminals = array_keys($model->document['kinds'][$part['kind']]['terminals']);
            for ($i = 1; $i < count($terminals) && count($terminals) <= 6; $i++) {
                [$a, $b] = ["{$part['id']}.{$terminals[0]}", "{$part['id']}.{$terminals[$i]}"];
                if ($part['kind'] !== 'supply') {
                    $measure($at[$b] ?? [], $a, $b);
                }
            }
        }
        foreach ($model->document['wires'] as $wire) {
            $measure([[$wire['id'], 'a']], "{$wire['id']}.a", "{$wire['id']}.b");
        }

        return $ohms;
    }
}
