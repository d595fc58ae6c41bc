<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\Proves;
use OddSpark\Parts\Ability\Sparks;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Senses\Record;
use OddSpark\WiringUp\Loads;
use OddSpark\WiringUp\Track;

/**
 * One call of an appliance from rest, and what comes after it: everything reset, nothing calling for five minutes; then
 * every thermostat calls until all has been running as it should for a while; then none does. A fault comes about
 * shortly before the call, and runs through the same acts at the same moments.
 *
 * What counts are motors, fires, and loads that are no control's own inputs.
 *
 * @phpstan-import-type Slot from Primitive
 */
final class Course
{
    /** When it calls, after the first that is seen, ms. */
    private const CALLS = 1000;

    /** How long it is watched at most until a call is ended, and after that: ms. */
    private const CALL = 600_000;

    private const AFTER = 240_000;

    /** So long nothing changes any more with a fire burning: then the call is ended, ms. */
    private const STEADY = 90_000;

    /** Changes that lie so near are one step, ms. */
    private const STEP = 400;

    /** By how much a step may come later than in the sound run, ms, and as a share of how long it took there. */
    private const LATE = 20_000;

    private const LATE_SHARE = 0.5;

    /** Changes after which a run is left as it is: relays that drop out by what they do. */
    private const MOST = 1500;

    public readonly Loads $loads;

    /** @var list<Step> those of the sound appliance, in their order */
    public readonly array $steps;

    /** When the call is ended, ms after the first that is seen. */
    public readonly int $ends;

    /** How the sound one stood. */
    public readonly Track $sound;

    /** @var array<string, list<array{int, int, mixed}>> what is perceived of the sound one, by channel */
    public readonly array $perceived;

    private readonly Call $call;

    /** @var array<string, true> ids that count */
    private array $counting = [];

    /** @var list<array{int, string}> when a contact, a rod or an eye of the sound one changed, and which */
    private array $moved = [];

    /** @var array<string, Slot> how each of them stood last */
    private array $told = [];

    /** @var array<string, Track> by fault */
    private array $tracks = [];

    public function __construct(public readonly Plan $plan, string $visit)
    {
        $this->loads = Loads::of($plan);
        $this->call = new Call($plan, $visit);
        foreach ($this->loads->ids() as $id) {
            [$part, $name] = Model::split($id);
            $kind = $plan->model->kindOf($part);
            $inputs = $kind !== null && $kind->those(Decides::class) !== [];
            if (! $inputs || isset($kind->those(Sparks::class)[$name]) || $this->loads->terminals($id) === null) {
                $this->counting[$id] = true;
            }
        }
        $this->ends = $this->steadyAt();
        $record = new Record();
        $this->sound = $this->run(Fault::none(), $record);
        $this->perceived = $record->until($this->ends + self::AFTER);
        $this->steps = $this->found();
    }

    /** When all of it is over, ms after the first that is seen. */
    public function over(): int
    {
        return $this->ends + self::AFTER;
    }

    /** Whether a step comes only when the call is over. */
    public function isOver(int $k): bool
    {
        return ($this->steps[$k]->at ?? INF) >= $this->ends;
    }

    /** Whether anything but a control's own relays moves after a step and before the next that tells of it. */
    public function isTold(int $k): bool
    {
        [$from, $to] = [$this->steps[$k]->at + self::STEP, $this->steps[$k + 1]->at ?? $this->over()];
        foreach ($this->moved as [$tick, $id]) {
            $kind = $this->plan->model->kindOf(Model::split($id)[0]);
            if ($tick > $from && $tick < $to && $kind?->those(Decides::class) === []) {
                return true;
            }
        }

        return false;
    }

    /** Whether two records cannot be told from each other. */
    public function areAlike(Track $one, Track $other): bool
    {
        foreach (array_keys($this->counting) as $id) {
            if ($one->parts($other, $id) !== null || $other->parts($one, $id) !== null) {
                return false;
            }
        }

        return true;
    }

    public function of(Fault $fault): Track
    {
        return $this->tracks[$fault->id] ??= $this->run($fault, null);
    }

    /**
     * The last step that came as it should; −1 where none did, null where all came.
     */
    public function stopsAfter(Track $track): ?int
    {
        $stood = $track->steps(0);
        $at = $before = $i = 0;
        foreach ($this->steps as $k => $step) {
            $late = max(self::LATE, self::LATE_SHARE * ($step->at - $before));
            $found = null;
            for (; $i < count($stood) && $found === null; $i++) {
                [$tick, $how] = $stood[$i];
                if ($tick - $at > $step->at - $before + $late) {
                    return $k - 1;
                }
                $found = $this->on($how) === $step->all ? $tick : null;
            }
            if ($found === null) {
                return $k - 1;
            }
            [$at, $before] = [$found, $step->at];
            $i--; // two steps may come at once here
        }

        return null;
    }

    /**
     * What is on at a moment, of that which counts.
     *
     * @param array<string, float|string> $how
     * @return list<string> ids
     */
    public function on(array $how): array
    {
        $on = array_filter(
            array_intersect_key($how, $this->counting),
            fn (float|string $h): bool => Loads::isOn($h) && ! str_starts_with((string) $h, 'hums'),
        );

        return array_keys($on);
    }

    /** @return list<string> ids of what counts */
    public function counting(): array
    {
        return array_keys($this->counting);
    }

    /** @return list<Step> */
    private function found(): array
    {
        $steps = $times = [];
        $on = null;
        foreach ($this->sound->steps(self::STEP) as [$tick, $at]) {
            $now = $this->on($at);
            if ($on !== null && $now !== $on) {
                $step = Step::between($tick, $on, $now, $this->loads);
                $times[$step->title] = ($times[$step->title] ?? 0) + 1;
                $steps[] = $step->ofTimes($times[$step->title]);
            }
            $on = $now;
        }

        return $steps;
    }

    private function steadyAt(): int
    {
        [$bench, $state] = $this->call->rested(Fault::none());
        $begins = $changed = $state->now();
        $on = null;
        $steady = function (BenchState $s) use ($bench, &$on, &$changed): bool {
            $now = $this->on($this->loads->at($bench->machine(), $s));
            $burns = array_filter($now, $this->loads->isFire(...)) !== [];
            if ($now !== $on || ! $burns) {
                [$on, $changed] = [$now, $s->now()];
            }

            return $s->now() - $changed >= self::STEADY;
        };
        $state = $this->call->make($bench, $state, $begins + self::CALLS);

        return $bench->watch($state, $begins + self::CALL, $steady)->now() - $begins;
    }

    private function run(Fault $fault, ?Record $record): Track
    {
        [$bench, $state] = $this->call->rested($fault);
        $begins = $state->now();
        $track = new Track();
        $left = self::MOST;
        $see = function (BenchState $s) use ($bench, $track, $begins, $record, &$left): bool {
            $track->see($s->now() - $begins, $this->loads->at($bench->machine(), $s));
            if ($record !== null) {
                $record->see($s->now() - $begins, $bench->now($s));
                $this->note($s, $s->now() - $begins);
            }

            return --$left < 0;
        };
        $see($state);
        $state = $this->call->make($bench, $state, $begins + self::CALLS);
        $see($state);
        $state = $bench->watch($state, $begins + $this->ends, $see);
        $state = $this->call->end($bench, $state, $begins + $this->ends);
        $see($state);
        $bench->watch($state, $begins + $this->over(), $see);
        $track->until($this->over());

        return $track;
    }

    /** Notes what moves of that which tells that something has come about. */
    private function note(BenchState $s, int $tick): void
    {
        foreach ($this->plan->those(Proves::class) as $id) {
            if (($this->told[$id] ?? null) !== $s->slots[$id]) {
                $this->told[$id] = $s->slots[$id];
                $this->moved[] = [$tick, $id];
            }
        }
    }
}
