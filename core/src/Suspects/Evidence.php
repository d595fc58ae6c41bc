<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\FaultMode;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Scale;
use OddSpark\Parts\Ability\IsMains;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
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

    /** @param (callable(int, int): void)|null $progress faults done, of all */
    public function __construct(
        public readonly Plan $plan,
        public readonly FaultSet $faultSet,
        string $visit,
        Memory $memory = new Memory(),
        ?callable $progress = null,
    ) {
        $this->trial = new Trial($plan->model);
        $this->pairs = (new BestReading($plan))->pairs();
        [$this->freed, $this->lifted] = $this->freed();
        $done = 0;
        foreach ($faultSet->faults as $id => $fault) {
            $this->of[$id] = $this->examine(new Bench($plan, $fault, $memory), $visit);
            if ($progress !== null) {
                $progress(++$done, count($faultSet->faults));
            }
        }
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
        foreach ($this->plan->model->parts() as $part) {
            $looks[$part->id] = $bench->glance($state->with(open: Doors::ALL), $part->id);
            $hands[$part->id] = $bench->handled($state->with(open: Doors::ALL), $part->id);
        }
        foreach ($this->plan->model->wires() as $wire) {
            $looks[$wire->id] = $bench->glance($state->with(open: Doors::ALL), $wire->id);
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
        $key = $bench->machine()->key($state);
        if (! isset($this->circuits[$key])) {
            $solution = $bench->machine()->solution($state);
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

    /** @return array{list<array{string, string, string}>, list<list<array{string, string}>>} */
    private function freed(): array
    {
        $model = $this->plan->model;
        $at = $freed = $lifted = [];
        $ground = null;
        foreach ($model->parts() as $part) {
            $ground ??= $part->kind->isGround() ? $part->places()[0] ?? null : null;
        }
        $bare = array_keys(array_filter($model->wireModes(), fn (FaultMode $mode) => $mode->changes('body.rubs_ohm')));
        foreach ($model->wires() as $wire) {
            $at[$wire->from][] = [$wire->id, 'a'];
            $at[$wire->to][] = [$wire->id, 'b'];
        }
        foreach ($model->parts() as $part) {
            $terminals = array_keys($part->kind->terminals);
            if ($part->kind->those(IsMains::class) !== []) {
                continue; // the street is not switched off
            }
            for ($i = 1; $i < count($terminals) && count($terminals) <= 6; $i++) {
                [$a, $b] = ["{$part->id}.{$terminals[0]}", "{$part->id}.{$terminals[$i]}"];
                $freed[] = [$a, $b, $part->id];
                $lifted[] = $at[$b] ?? [];
            }
        }
        foreach ($model->wires() as $wire) {
            $freed[] = ["{$wire->id}.a", "{$wire->id}.b", $wire->id];
            $lifted[] = [[$wire->id, 'a']];
            if (($wire->near ?? $ground) !== null && array_intersect($wire->modes, $bare) !== []) {
                $freed[] = ["{$wire->id}.a", $wire->near ?? $ground, $wire->id]; // whether it has rubbed through
                $lifted[] = [[$wire->id, 'a'], [$wire->id, 'b']];
            }
        }

        return [$freed, $lifted];
    }
}
