<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Appliance\Plan;
use OddSpark\Circuit\Values;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * An appliance that runs: a plan with what a fault has changed in it.
 *
 * Its state is a {@see MachineState}, owned by the caller.
 * Within a tick: solve; every primitive reads the same solution and the same slots; all changes
 * are applied together; again, until nothing changes. Between ticks nothing is stepped: the next
 * tick is the earliest that any primitive asks for.
 *
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Joint from MachineState
 */
final class Machine
{
    use KnownStates;

    private const MICROSTEPS = 60;

    /** A clip lead of a yard, with its two clips: 20 mΩ; common practice, no source. */
    private const JUMPER_SIEMENS = 50.0;

    /** @var array<string, Primitive> */
    private readonly array $primitives;

    /** @var array<string, Primitive> see {@see Build} for this and those below */
    private readonly array $live;

    /** @var array<string, list<string>> */
    private readonly array $readers;

    /** @var array<string, list<array{string, string|null, list<string>}>> */
    private readonly array $keyReaders;

    /** @var array<string, true> */
    private readonly array $restless;

    /** @var array<string, true> */
    private readonly array $circuitReaders;

    /** @var array<string, Primitive> */
    private readonly array $varying;

    /** @var array<string, Primitive> */
    private readonly array $seldom;

    private readonly Build $build;

    private Values $values;

    /** What of {@see seldom} stands in these values. */
    private ?string $stamped = null;

    /**
     * @var array<string, Slot> slots of the state that was settled last, with what it is electrically
     */
    private array $standing = [];

    private string $standingKey = '';

    private string $standingCommon = '';

    /** @var array<string, string> */
    private array $standingPieces = [];

    /** @var array<string, int> when each of them wants to be asked again */
    private array $standingDue = [];

    /**
     * @param Changes $set changed parameters: "part.primitive.path" => value
     */
    public function __construct(public readonly Plan $plan, array $set, private readonly Memory $memory)
    {
        $this->build = $build = Build::of($plan, $set);
        $this->primitives = $build->primitives;
        $this->live = $build->live;
        $this->readers = $build->readers;
        $this->keyReaders = $build->keyReaders;
        $this->restless = $build->restless;
        $this->circuitReaders = $build->circuitReaders;
        $this->varying = $build->varying;
        $this->seldom = $build->seldom;
        $this->values = clone $build->values;
    }

    /** At rest, nothing powered up yet: the first {@see settle} does that. */
    public function initial(): MachineState
    {
        return new MachineState(0, array_map(fn (Primitive $p) => $p->initial(), $this->primitives));
    }

    /**
     * Pairs of nodes joined by jumpers.
     *
     * @param list<array{int, int}> $pairs
     * @return list<Joint>
     */
    public static function jumpers(array $pairs): array
    {
        $joints = [];
        foreach ($pairs as [$a, $b]) {
            if ($a !== $b) {
                $joints[] = [$a, $b, self::JUMPER_SIEMENS];
            }
        }

        return $joints;
    }

    /**
     * Lets everything that follows at once from the state happen, at its tick.
     *
     * @param bool $onlyCircuit nothing but what is on the circuit has changed since it was settled
     *
     * @throws RunError when it does not come to rest
     */
    public function settle(MachineState $state, bool $onlyCircuit = false): MachineState
    {
        $stands = $this->standingKey !== '' && $state->slots === $this->standing;
        $pieces = $stands ? $this->standingPieces : $this->pieces($state->slots);
        $common = $stands ? $this->standingCommon : $this->common($state->slots);
        $stood = $onlyCircuit && $stands;
        [$state, $touched] = $this->react(
            $state,
            array_keys($onlyCircuit ? $this->circuitReaders : $this->live),
            $common,
            $pieces,
        );
        if ($stood) {
            $this->stand($state, $common, $pieces, $this->dueAfter($state, $touched, $this->standingDue));
        }

        return $state;
    }

    /**
     * On to a tick; $seen is called with each settled state, the last included.
     *
     * @param (callable(MachineState): bool)|null $seen returns true to stop there
     */
    public function advance(MachineState $state, int $until, ?callable $seen = null): MachineState
    {
        $stands = $this->standingKey !== '' && $state->slots === $this->standing;
        $common = $stands ? $this->standingCommon : $this->common($state->slots);
        $pieces = $stands ? $this->standingPieces : $this->pieces($state->slots);
        $due = $stands ? $this->standingDue : $this->dueAfter($state, array_keys($this->live), []);
        while ($state->tick < $until) {
            $state = new MachineState(min($until, max($state->tick + 1, min($due))), $state->slots, $state->joined);
            $this->memory->moment($state->tick);
            $active = [];
            foreach ($due as $id => $tick) {
                if ($tick <= $state->tick) {
                    $active[] = $id;
                }
            }
            [$state, $touched] = $this->react($state, $active, $common, $pieces);
            $due = $this->dueAfter($state, $touched, $due);
            if ($seen !== null) {
                $this->stand($state, $common, $pieces, $due);
                if ($seen($state)) {
                    return $state;
                }
            }
        }

        return $state;
    }

    /**
     * Microsteps until nothing changes: those asked react to the same solution and the same slots, all
     * changes are applied together, and who reads what has changed is asked next.
     *
     * @param list<string> $active
     * @param string $common {@see common}, kept up to date
     * @param array<string, string> $pieces {@see pieces}, kept up to date
     * @return array{MachineState, list<string>} with those that were asked
     */
    private function react(MachineState $state, array $active, string &$common, array &$pieces): array
    {
        $slots = $state->slots;
        $asked = array_fill_keys($active, true);
        $key = null;
        for ($step = 0; $step < self::MICROSTEPS; $step++) {
            if ($active === []) {
                return [new MachineState($state->tick, $slots, $state->joined), array_keys($asked)];
            }
            $reading = false;
            foreach ($active as $id) {
                $reading = $reading || isset($this->circuitReaders[$id]);
            }
            if ($reading) {
                $key ??= $this->build->key.$common.implode(',', $pieces);
            }
            $solution = $reading ? $this->solved($slots, $state->joined, $key, $common) : null;
            $now = new Surroundings($state->tick, $slots, $solution);
            $changed = [];
            foreach ($active as $id) {
                $slot = $this->live[$id]->react($slots[$id], $now);
                if ($slot !== $slots[$id]) {
                    $changed[$id] = $slot;
                }
            }
            unset($now); // so that the slots are changed where they stand, and not copied
            $next = [];
            $electric = $rare = false;
            foreach ($changed as $id => $slot) {
                if (isset($this->varying[$id])) {
                    $piece = $this->varying[$id]->electric($slot);
                    if ($piece !== $pieces[$id]) {
                        $pieces[$id] = $piece;
                        $electric = true;
                    }
                } elseif (isset($this->seldom[$id])) {
                    $rare = $rare || $this->seldom[$id]->electric($slot) !== $this->seldom[$id]->electric($slots[$id]);
                }
                if (isset($this->restless[$id])) {
                    $next[$id] = true;
                }
                foreach ($this->readers[$id] ?? [] as $reader) {
                    $next[$reader] = true;
                }
                foreach ($this->keyReaders[$id] ?? [] as [$outer, $inner, $who]) {
                    $was = $slots[$id][$outer] ?? null;
                    $is = $slot[$outer] ?? null;
                    if ($inner === null ? $was !== $is : ($was[$inner] ?? null) !== ($is[$inner] ?? null)) {
                        foreach ($who as $reader) {
                            $next[$reader] = true;
                        }
                    }
                }
                $slots[$id] = $slot;
            }
            if ($rare) {
                $common = $this->common($slots);
            }
            if ($electric || $rare) {
                $key = null;
                $next += $this->circuitReaders;
            }
            $active = array_keys($next);
            $asked += $next;
        }
        throw RunError::restless($state->tick / 1000, $active);
    }

    /**
     * When each wants to be asked again, brought up to date for those that were touched.
     *
     * @param list<string> $touched
     * @param array<string, int> $due
     * @return array<string, int>
     */
    private function dueAfter(MachineState $state, array $touched, array $due): array
    {
        $now = new Surroundings($state->tick, $state->slots);
        foreach ($touched as $id) {
            $due[$id] = $this->live[$id]->next($state->slots[$id], $now);
        }

        return $due === [] ? ['' => Primitive::NEVER] : $due;
    }

    /**
     * What can be perceived of a primitive just now.
     */
    public function shows(MachineState $state, string $primitive): string
    {
        return $this->primitives[$primitive]->shows($state->slots[$primitive]);
    }
}
