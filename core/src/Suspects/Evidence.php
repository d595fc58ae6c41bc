<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Scale;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;

/**
 * What every fault of a model shows over one {@see Trial}: by brute force, to everybody who asks what can be
 * told from what.
 *
 * At every moment the volts of every pair of places, all sounds and sights; every part looked at on arrival; what
 * instruments show at the taps; what hands find; then, with the power off, every part and wire in ohms with one end
 * lifted.
 *
 * @phpstan-type Shown array{record: array<string, list<array{int, int, mixed}>>, looks: array<string, array<string, string>|null>, hands: array<string, array<string, string>>, ohms: list<float>, taps: array<string, float>, complaint: list<string>}
 */
final class Evidence
{
    /** How long something must stand for a meter to show it, or a person to note it, ms. */
    public const CAUGHT_TICKS = 1000;

    /** @var array<string, Shown> by fault */
    public array $of = [];

    /** @var list<list<float>> volts of every pair in each state met */
    public array $volts = [];

    /** @var list<array{string, string}> */
    public readonly array $pairs;

    /** @var list<array{int, int}> nodes of each pair */
    private readonly array $nodes;

    /**
     * @var list<array{string, string, string}> places between which ohms are measured,
     *     and the part or wire that is freed for it
     */
    public readonly array $freed;

    /** @var array<string, int> states met, by what they electrically are */
    private array $circuits = [];

    /** @var list<list<array{string, string}>> wire ends that are lifted for each of {@see} */
    private readonly array $lifted;

    public readonly Trial $trial;

    /**
     * @param (callable(int, int): void)|null $progress faults done, of all
     * @param int $processes among which the faults are shared out
     */
    public function __construct(
        public readonly Plan $plan,
        public readonly FaultSet $faultSet,
        string $visit,
        Memory $memory = new Memory(),
        ?callable $progress = null,
        int $processes = 1,
    ) {
        $this->trial = new Trial($plan->model);
        $this->pairs = (new BestReading($plan))->pairs();
        $this->nodes = array_map(fn (array $p) => [$plan->places[$p[0]], $plan->places[$p[1]]], $this->pairs);
        [$this->freed, $this->lifted] = FreedEnds::of($plan->model);
        $ids = array_map(strval(...), array_keys($faultSet->faults));
        $examined = function (int $share) use ($ids, $processes, $visit, $memory, $progress): array {
            $of = [];
            for ($i = $share; $i < count($ids); $i += $processes) { // those of one part lie together: dealt out in turn
                $of[$ids[$i]] = $this->examine(new Bench($this->plan, $this->faultSet->get($ids[$i]), $memory), $visit);
                if ($progress !== null && $share === 0) {
                    $progress(min(count($ids), $i + $processes), count($ids));
                }
            }

            return $of;
        };
        $shares = Processes::share(
            $processes,
            fn (int $share) => $share === 0 ? $examined(0) : $this->apart(fn () => $examined($share)),
        );
        $of = array_shift($shares);
        foreach ($shares as $share) {
            $of += $this->joined(...$share);
        }
        foreach ($ids as $id) {
            $this->of[$id] = $of[$id];
        }
    }

    /**
     * What is found with circuits numbered for itself.
     *
     * @param callable(): array<string, Shown> $examined
     * @return array{array<string, Shown>, array<string, int>, string} with the circuits, and the volts of every pair in
     *     each as doubles
     */
    private function apart(callable $examined): array
    {
        $known = [$this->circuits, $this->volts];
        $this->circuits = $this->volts = [];
        $of = $examined();
        $volts = implode('', array_map(fn (array $row) => pack('d*', ...$row), $this->volts));
        $found = [$of, $this->circuits, $volts];
        [$this->circuits, $this->volts] = $known;

        return $found;
    }

    /**
     * What was found apart, with its circuits as they are numbered here.
     *
     * @param array<string, Shown> $of
     * @param array<string, int> $circuits
     * @return array<string, Shown>
     */
    private function joined(array $of, array $circuits, string $volts): array
    {
        $size = 8 * count($this->pairs);
        $number = [];
        foreach ($circuits as $key => $there) {
            if (! isset($this->circuits[$key])) {
                $this->circuits[$key] = count($this->volts);
                $row = unpack('d*', substr($volts, $there * $size, $size));
                $this->volts[] = array_values($row === false ? [] : $row);
            }
            $number[$there] = $this->circuits[$key];
        }
        foreach ($of as $id => $shown) {
            foreach ($shown['record']['circuit'] as $i => [$from, $to, $there]) {
                $of[$id]['record']['circuit'][$i] = [$from, $to, $number[$there]];
            }
        }

        return $of;
    }

    public function comparison(): Comparison
    {
        return new Comparison($this->trial->ticks());
    }

    /** The instrument of a tap, by "TAP MOMENT". */
    public function tapMode(string $tapAndMoment): Scale
    {
        $model = $this->plan->model;
        $tap = explode(' ', $tapAndMoment)[0];

        return Bag::atTap($model->taps()[$tap]->instrument, $model->region() === 'EU');
    }

    /** What a channel shows of a fault at a moment of the trial; null when it could not be perceived. */
    public function at(string $fault, string $channel, int $tick): mixed
    {
        foreach ($this->of[$fault]['record'][$channel] ?? [] as [$from, $to, $value]) {
            if ($from <= $tick && $tick < $to) {
                return $value;
            }
        }

        return null;
    }

    /** @return Shown */
    private function examine(Bench $bench, string $visit): array
    {
        $arrival = $bench->arrive($visit);
        $state = $arrival->state->with(eyes: Perception::EVERYWHERE);
        $state = $bench->resume($state);
        $record = new Record();
        $watch = function (BenchState $s) use ($bench, $record): bool {
            $record->see($s->now(), $bench->now($s) + ['circuit' => $this->circuit($bench, $s)]);

            return false;
        };
        $looks = $hands = $taps = [];
        $opened = $state->with(open: Doors::ALL);
        foreach ($this->plan->model->parts() as $part) {
            $looks[$part->id] = $bench->glance($opened, $part->id);
            $hands[$part->id] = $bench->handled($opened, $part->id);
        }
        foreach ($this->plan->model->wires() as $wire) {
            $looks[$wire->id] = $bench->glance($opened, $wire->id);
        }
        $moments = array_keys($this->trial->moments());
        foreach ($this->trial->acts() as $act) {
            while ($moments !== [] && $moments[0] < $act->tick) {
                $state = $bench->watch($state, $moments[0], $watch);
                foreach (array_keys($this->plan->model->taps()) as $tap) {
                    $taps["$tap $moments[0]"] = $bench->tap($state, (string) $tap);
                }
                array_shift($moments);
            }
            $state = $bench->watch($state, $act->tick, $watch);
            [$state] = $bench->do($state, $act);
            $state = $state->with(eyes: Perception::EVERYWHERE);
            $watch($state);
        }
        $state = $bench->watch($state, $this->trial->end() + 20_000, $watch);
        $complaint = array_column($arrival->complaint, 'id');
        sort($complaint);
        $shown = $record->until($state->now());
        $shown['circuit'] = array_values(
            array_filter($shown['circuit'], fn (array $s) => $s[1] - $s[0] >= self::CAUGHT_TICKS),
        );

        return [
            'record' => $shown,
            'looks' => $looks,
            'hands' => $hands,
            'ohms' => $this->ohms($bench, $state),
            'taps' => $taps,
            'complaint' => $complaint,
        ];
    }

    private function circuit(Bench $bench, BenchState $state): int
    {
        $key = md5($bench->machine()->key($state), true);
        if (! isset($this->circuits[$key])) {
            $solution = $bench->machine()->solution($state);
            $this->circuits[$key] = count($this->volts);
            $this->volts[] = $solution->acVoltsOf($this->nodes);
        }

        return $this->circuits[$key];
    }

    /**
     * Ohms of every part and wire with one end free, the supply off.
     *
     * @return list<float>
     */
    private function ohms(Bench $bench, BenchState $state): array
    {
        $ohms = [];
        foreach ($this->freed as $i => [$a, $b]) {
            $s = $state;
            foreach ($this->lifted[$i] as [$wire, $end]) {
                $s = $s->withSlots(["$wire.body" => [$end => false]]);
            }
            $ohms[] = Meter::exact(
                Mode::Ohms,
                $bench->machine()->solution($s),
                $this->plan->places[$a],
                $this->plan->places[$b],
            );
        }

        return $ohms;
    }
}
