<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Words\Words;

/**
 * Which safeties were made to act after the last repair, and whether each then stopped the fuel: read off a run
 * of the appliance with the same acts.
 *
 * A safety is a sensor that opens on heat in a limit, or on lost draught or water, and the proving of the
 * flame. Rollouts are not asked for: they are not made to trip for a trial.
 */
final class AttemptSafetyTest
{
    public const FLAME = 'flame';

    /** Ticks within which the fuel has to stop. */
    private const WITHIN = 10_000;

    /** @var array<string, bool> */
    private array $tried = [];

    /** @var array<string, int|null> tick at which each opened with the fire lit; null while it is made */
    private array $opened = [];

    private bool $wasLit = false;

    /** @var list<array{int, int}> */
    private array $fires = [];

    /** @var list<string> primitives that sense, by id */
    private readonly array $sensors;

    /** @var list<string> */
    private readonly array $burners;

    public function __construct(
        private readonly Plan $plan,
        private readonly Fault $fault,
        private readonly Memory $memory,
    ) {
        $sensors = [];
        foreach ($plan->model->parts() as $part) {
            foreach ($part->kind->guards()?->isMadeToAct() === true ? $part->kind->sensors() : [] as $name) {
                if ($plan->model->guardsFuel($part, $name)) {
                    $sensors[] = "$part->id.$name";
                }
            }
        }
        $this->sensors = $sensors;
        $this->burners = $plan->those(Burns::class);
    }

    /** @return list<string> ids of all that there are to try: sensors, and the flame */
    public function all(): array
    {
        return $this->burners === [] ? $this->sensors : [...$this->sensors, self::FLAME];
    }

    /** How one is called. */
    public function label(string $id): string
    {
        return $id === self::FLAME
            ? Words::say('marking.attempt_safety_test.the_flame_proving')
            : $this->plan->model->part(substr($id, 0, (int) strrpos($id, '.')))->label;
    }

    /**
     * @param BenchState $state of the appliance after the last repair
     * @param int $from entry after it
     * @return array{tried: array<string, bool>, fires: list<array{int, int}>} by safety that was made to act:
     *     whether the fuel stopped; when the fire was lit, ticks after the arrival
     */
    public function of(BenchState $state, Observations $seen, int $from): array
    {
        $bench = new Bench($this->plan, $this->fault, $this->memory);
        $state = $bench->resume($state);
        $this->tried = $this->opened = $this->fires = [];
        $this->wasLit = false;
        $watch = function (BenchState $s): bool {
            $this->note($s);

            return false;
        };
        $watch($state);
        foreach (array_slice($seen->entries, $from) as [$act, $outcome]) {
            $state = $bench->watch($state, $act->tick, $watch);
            $watch($state);
            if ($outcome->refused === null) {
                [$state] = $bench->do($state, $act, $outcome->reading?->unsteady === true ? 'red' : null);
                $watch($state);
            }
        }
        $watch($bench->watch($state, $seen->until, $watch));

        return ['tried' => $this->tried, 'fires' => $this->fires];
    }

    private function note(BenchState $s): void
    {
        $lit = $this->isLit($s);
        $tick = $s->now();
        if ($lit && ! $this->wasLit) {
            $this->fires[] = [$tick, $tick];
        } elseif ($lit && $this->fires !== []) {
            $this->fires[count($this->fires) - 1][1] = $tick;
        }
        foreach ($this->sensors as $id) {
            $known = array_key_exists($id, $this->opened);
            if ($s->slots[$id]['made']) {
                $this->opened[$id] = null;
            } elseif ($known && $this->opened[$id] === null && ($lit || $this->wasLit)) {
                $this->opened[$id] = $tick;
                $this->tried[$id] ??= false;
            }
            if (($this->opened[$id] ?? null) !== null && ! $lit && $tick - $this->opened[$id] <= self::WITHIN) {
                $this->tried[$id] = true;
            }
        }
        if ($this->wasLit && ! $lit && $this->fuelIsShut($s)) {
            $this->tried[self::FLAME] = true; // shut by hand with the fire lit
        }
        $this->wasLit = $lit;
    }

    private function isLit(BenchState $s): bool
    {
        foreach ($this->burners as $id) {
            if ($s->slots[$id]['lit']) {
                return true;
            }
        }

        return false;
    }

    private function fuelIsShut(BenchState $s): bool
    {
        foreach ($this->plan->model->parts() as $part) {
            if ($part->kind->isFuelSupply()) {
                foreach (array_keys($part->kind->settings) as $lever) {
                    if (in_array($s->slots["{$part->id}.$lever"]['at'] ?? null, ['shut', 'off'], true)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
