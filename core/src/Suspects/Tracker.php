<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Tells;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Arrival;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Logger;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Record;

/**
 * The suspects, entry by entry: every candidate is run with the same acts, and stays as long as all
 * that was observed could have come from it.
 *
 * Candidates carry no noise and no scatter; the tolerance of the comparison allows for both.
 *
 * @phpstan-type Watched array{meter: array<string, float>, sight: array<string, float>, logger: array<string, float>}
 */
final class Tracker
{
    /** Weight, before anything is seen, of what no candidate stands for, as a share of theirs. Ours, no source. */
    private const UNKNOWN = 0.02;

    private float $unknown = 0.0;

    /** Tick up to which all that stand have been compared. */
    private int $since = 0;

    /** @var array<string, BenchState> state of each candidate that is still in */
    private array $states = [];

    /** @var array<string, Bench> */
    private array $benches = [];

    /** @var array<string, float> before anything is said or seen */
    private array $weights = [];

    /** @var array<string, true> those that something speaks against that was said */
    private array $contrary = [];

    /** @var Watched of what fell by watching alone */
    private array $watched = ['meter' => [], 'sight' => [], 'logger' => []];

    /** @param array<string, Arrival> $arrivals by fault id, when they were computed before; else they are now */
    public function __construct(
        private readonly Plan $plan,
        private readonly FaultSet $faultSet,
        private readonly string $visit,
        private readonly Memory $memory = new Memory(),
        private array $arrivals = [],
    ) {}

    /**
     * The state in which each candidate would be found, to be kept with the job.
     *
     * @param (callable(int, int): void)|null $progress faults run, of how many
     * @param int $processes in which they are run; {@see Processes}
     * @return array<string, Arrival>
     */
    public function arrivals(?callable $progress = null, int $processes = 1): array
    {
        $all = new Arrivals($this->plan, $this->faultSet, $this->visit, $this->memory);

        return $this->arrivals = $all->of($this->arrivals, $progress, $processes);
    }

    /**
     * The suspects through a whole attempt.
     *
     * @return \Generator<int, Moment> on arrival, then for each entry when it is about to be made and when it has been
     */
    public function moments(Observations $seen): \Generator
    {
        $this->begin($seen);
        yield new Moment(-1, true, $this->suspects());
        foreach (array_keys($seen->entries) as $i) {
            yield from $this->through($seen, $i);
        }
    }

    /** @return list<Suspects> after the arrival, and after each entry */
    public function follow(Observations $seen): array
    {
        $after = array_filter(iterator_to_array($this->moments($seen), false), fn (Moment $m): bool => $m->isAfter);

        return array_values(array_map(fn (Moment $m): Suspects => $m->suspects, $after));
    }

    /** One entry more, after those before it. */
    public function step(Observations $seen, int $i): Suspects
    {
        foreach ($this->through($seen, $i) as $moment) {
            $after = $moment->suspects;
        }

        return $after ?? $this->suspects();
    }

    /** @return \Generator<int, Moment> */
    private function through(Observations $seen, int $i): \Generator
    {
        [$act, $outcome] = $seen->entries[$i];
        $comparison = Comparison::after(array_slice($seen->entries, 0, $i + 1));
        $earlier = $this->states;
        $stood = count($this->states);
        $this->watched = ['meter' => [], 'sight' => [], 'logger' => []];
        // the one before may be of the same tick
        $done = max($act->tick - 1, $i > 0 ? $seen->entries[$i - 1][0]->tick : 0);
        $this->goOn($seen, $comparison, $act->tick, $act->tick - 1, $done);
        yield new Moment($i, false, $this->suspects());
        $all = [];
        $agreement = new Agreement($this->plan, $this->faultSet, $this->memory);
        foreach ($outcome->wasStopped() ? [] : $this->states as $id => $state) {
            [$this->states[$id], $expected] = $this->benches[$id]->do($state, $act, Agreement::loose($outcome));
            $all[$id] = $expected;
            if ($act->tells() === Tells::Nothing) {
                continue;
            }
            if ($act->tells() === Tells::Hearsay) {
                if ($outcome->seen !== $expected->seen) {
                    $this->contrary[$id] = true;
                }

                continue;
            }
            if (
                ! Agreement::ofOutcomes($outcome, $expected) &&
                ! $agreement->nearby($id, $earlier[$id], $act, $outcome, $comparison)
            ) {
                unset($this->states[$id], $this->benches[$id]);
            }
        }
        // what was perceived at this very tick may come of an act after this one: it is compared with the last of them
        $more = ($seen->entries[$i + 1] ?? null) !== null && $seen->entries[$i + 1][0]->tick === $act->tick;
        $this->goOn($seen, $comparison, $act->tick, $more ? $act->tick - 1 : $act->tick, $act->tick);
        $this->since = $act->tick;
        if ($i === count($seen->entries) - 1 && $seen->until > $act->tick) {
            // what was still played after the last act
            $this->goOn($seen, $comparison, $seen->until, $seen->until, $act->tick);
        }
        if (count($this->states) < $stood) {
            $this->unknown /= 2; // it could have shown the one or the other
        }
        yield new Moment($i, true, $this->suspects(), $all);
    }

    /** @return array<string, mixed> plain data: how every candidate stands, for {@see resume} */
    public function snapshot(): array
    {
        return [
            'states' => array_map(fn (BenchState $s): array => $s->toArray(), $this->states),
            'weights' => $this->weights,
            'contrary' => array_map(strval(...), array_keys($this->contrary)),
            'unknown' => $this->unknown,
            'since' => $this->since,
            'records' => array_map(fn (Bench $b) => $b->record->kept(), $this->benches),
        ];
    }

    /** @param array<string, mixed> $snapshot from {@see snapshot} of the same plan and visit */
    public function resume(array $snapshot): void
    {
        $this->states = array_map(BenchState::fromArray(...), $snapshot['states']);
        ['weights' => $this->weights, 'unknown' => $this->unknown, 'since' => $this->since] = $snapshot;
        $this->contrary = array_fill_keys($snapshot['contrary'] ?? [], true); // once the weights had it in them
        $this->benches = [];
        foreach ($this->states as $id => $state) {
            $this->benches[$id] = new Bench($this->plan, $this->faultSet->get((string) $id), $this->memory);
            $this->benches[$id]->record = Record::resumed($snapshot['records'][$id]);
            $this->states[$id] = $this->benches[$id]->resume($state);
        }
    }

    /**
     * Those that fell out between the entry before and this one, and by nothing but what the meter went on to
     * show, the logger wrote down, or the eyes were on.
     *
     * @return Watched
     */
    public function fellByWatching(): array
    {
        return $this->watched;
    }

    /** Every candidate goes on to a tick; those that would have shown something else up to another fall out. */
    private function goOn(Observations $seen, Comparison $comparison, int $tick, int $compared, int $done): void
    {
        $observed = Record::upTo($seen->perceived, $compared);
        [$fresh, $by] = $comparison->fresh($observed, $compared, $done);
        $weighed = $this->weighed();
        foreach ($this->states as $id => $state) {
            $this->states[$id] = $this->benches[$id]->advance($state, $tick);
            $expected = Record::upTo($this->benches[$id]->record->until($tick), $compared);
            $ahead = null;
            $could = function (callable $of) use (
                $comparison, $observed, $expected, $compared, $fresh, $by, $id, &$ahead,
            ): bool {
                return $comparison->agrees($of($observed), $of($expected), $this->since, $compared) &&
                    ($comparison->shows($of($fresh), $of($expected)) ||
                        $comparison->shows($of($fresh), $of($ahead ??= $this->ahead((string) $id, $by))));
            };
            if (! $could(fn (array $channels): array => $channels)) {
                foreach (array_keys($this->watched) as $watch) {
                    $rest = fn (array $channels): array => array_filter(
                        $channels,
                        fn (string $c) => ! $this->isWatched($c, $watch),
                        ARRAY_FILTER_USE_KEY,
                    );
                    if ($could($rest)) {
                        $this->watched[$watch][$id] = $weighed[$id];
                        break;
                    }
                }
                unset($this->states[$id], $this->benches[$id]);
            }
        }
    }

    /** @return array<string, list<array{int, int, mixed}>> what a candidate would show if nothing were done */
    private function ahead(string $id, int $tick): array
    {
        $bench = new Bench($this->plan, $this->faultSet->get($id), $this->memory);
        $bench->record = Record::resumed($this->benches[$id]->record->kept());
        $bench->advance($bench->resume($this->states[$id]), $tick);

        return $bench->record->until($tick);
    }

    /** Whether a channel is the meter's, the logger's, or of a sight that is seen by looking there. */
    private function isWatched(string $channel, string $by): bool
    {
        return match (true) {
            str_starts_with($channel, 'meter ') => $by === 'meter',
            Logger::isOf($channel) => $by === 'logger',
            default => $by === 'sight' && ($this->plan->percepts[$channel]['sense'] ?? '') === 'sight',
        };
    }

    /** Those still in, as they stand. */
    public function suspects(): Suspects
    {
        return new Suspects($this->weighed(), $this->unknown);
    }

    /** @return array<string, float> weights of those still in, with what was said */
    private function weighed(): array
    {
        return Hearsay::weighed(array_intersect_key($this->weights, $this->states), $this->contrary);
    }

    /** @return array<string, array{Bench, BenchState}> bench and state of each that is still in */
    public function candidates(): array
    {
        $all = [];
        foreach ($this->states as $id => $state) {
            $all[$id] = [$this->benches[$id], $state];
        }

        return $all;
    }

    /**
     * Every candidate as it would be found, weighed by the complaint; those that would have shown something else on
     * entering are out.
     */
    public function begin(Observations $seen): void
    {
        $this->since = 0;
        $this->contrary = [];
        $said = $seen->complaint;
        sort($said);
        foreach ($this->arrivals() as $id => $arrival) {
            $fault = $this->faultSet->faults[$id];
            $this->benches[$id] = new Bench($this->plan, $fault, $this->memory);
            $this->states[$id] = $this->benches[$id]->resume($arrival->state);
            $would = array_column($arrival->complaint, 'id');
            sort($would);
            $this->weights[$id] = $fault->weight;
            if ($would !== $said) {
                $this->contrary[$id] = true;
            }
        }
        $this->unknown = self::UNKNOWN * array_sum($this->weighed());
        // what strikes one on entering is seen before anything is done
        $comparison = new Comparison([]);
        $first = array_map(fn (array $list) => [$list[0]], Record::upTo($seen->perceived, 0));
        foreach ($this->benches as $id => $bench) {
            if (! $comparison->agrees($first, $bench->record->until(0))) {
                unset($this->states[$id], $this->benches[$id]);
            }
        }
    }
}
