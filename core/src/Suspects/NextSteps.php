<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/**
 * What would tell most now: every reading and look at this moment, and every safe act followed by some seconds and
 * the reading that then tells most.
 */
final class NextSteps
{
    /** What one waits for after an act, ms: a relay, a blower, a trial for ignition. */
    private const WAITS = [2000, 45_000];

    /** Suspects above which acts are not thought forward: what can be read at once tells enough then. */
    private const FEW = 40;

    /** Bits by which what is done first has to make a reading tell more. */
    private const MORE = 0.1;

    private readonly BestReading $readings;

    public function __construct(
        private readonly Plan $plan,
        private readonly FaultSet $faultSet,
        private readonly Memory $memory = new Memory(),
    ) {
        $this->readings = new BestReading($plan);
    }

    /**
     * @param array<string, array{Bench, BenchState}> $candidates those still in, with their states
     * @param array<string, float> $weights
     * @return array{list<Choice>, int} the most telling first, the cheapest first among equals; and how many were
     *     weighed
     */
    public function of(array $candidates, array $weights, int $most = 10): array
    {
        $now = $this->readings->rank($candidates, $weights, PHP_INT_MAX, true);
        $weighed = count($now);
        $choices = $now;
        $told = [];
        $already = [];
        foreach ($now as $choice) {
            $already["$choice->kind $choice->red $choice->black"] = $choice->bits;
        }
        foreach (
            count($candidates) > 1 && count($candidates) <= self::FEW ? $this->acts($candidates) : [] as [$act, $wait]
        ) {
            $ahead = $this->forked($candidates, $act, $wait);
            if ($ahead === null) {
                continue;
            }
            $then = $this->readings->rank($ahead, $weights, PHP_INT_MAX);
            $weighed += count($then);
            $then = array_values(array_filter( // nothing is set to read what would be read all the same
                $then,
                fn (Choice $c): bool => $c->bits > ($already["$c->kind $c->red $c->black"] ?? 0.0) + self::MORE,
            ));
            // a longer wait only if it tells more
            if ($then !== [] && $then[0]->bits > ($told[json_encode($act->toArray())] ?? 0.0) + 1e-6) {
                $told[json_encode($act->toArray())] = $then[0]->bits;
                $choices[] = $then[0]->following($act, $act->minutesOn($this->plan->model) + $wait / 60_000);
            }
        }
        usort(
            $choices,
            fn (Choice $x, Choice $y) => [round($y->bits, 4), $x->minutes] <=> [round($x->bits, 4), $y->minutes],
        );

        return [array_slice($choices, 0, $most), $weighed];
    }

    /**
     * Acts that change what the appliance does, or nothing but time.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @return list<array{Act, int}> with what is waited after it, ms
     */
    private function acts(array $candidates): array
    {
        [, $state] = reset($candidates);
        $tick = $state->now();
        $acts = [];
        $add = function (string $name, array $with) use (&$acts, $tick): void {
            foreach (self::WAITS as $wait) {
                $acts[] = [Catalogue::make($tick, $name, $with), $wait];
            }
        };
        $add('wait', []);
        $doors = $this->plan->model->doors();
        if ($doors->shut($state->open) !== []) {
            $add('door', ['to' => 'open']);
        } elseif (array_diff($doors->holdable($state->open), $state->held) !== []) {
            $add('hold', ['to' => 'held']);
        }
        foreach ($this->plan->model->parts() as $part) {
            $isLeft = $part->inVan || $part->kind->family->isUtility();
            foreach ($isLeft ? [] : $part->kind->settings as $lever => $setting) {
                $at = $state->slots["{$part->id}.$lever"]['at'];
                foreach ($setting->ends() as $to) {
                    if ($to !== $at) {
                        $add('set', ['part' => $part->id, 'lever' => $lever, 'to' => $to]);
                    }
                }
            }
        }

        return $acts;
    }

    /**
     * Every candidate after an act and a wait; null when it would be refused, or would hurt.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @return array<string, array{Bench, BenchState}>|null
     */
    private function forked(array $candidates, Act $act, int $wait): ?array
    {
        $ahead = [];
        foreach ($candidates as $id => [, $state]) {
            $bench = new Bench($this->plan, $this->faultSet->get((string) $id), $this->memory);
            $state = $bench->resume($state);
            [$state, $outcome] = $bench->do($state, $act);
            if ($outcome->refused !== null || $outcome->dangers !== []) {
                return null;
            }
            $ahead[$id] = [$bench, $bench->watch($state, $act->tick + $wait, fn () => false)];
        }

        return $ahead;
    }
}
