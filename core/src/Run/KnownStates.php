<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Circuit\Solution;
use OddSpark\Circuit\SpiceNetlist;
use OddSpark\Circuit\StaticPart;
use OddSpark\Circuit\Values;
use OddSpark\Parts\Primitive;

/**
 * Which solution belongs to a state: found by what of the state the circuit sees, and kept.
 *
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Joint from MachineState
 */
trait KnownStates
{
    /**
     * The circuit as it is in this state, with what a hand has put on it, and with one load more where that is asked.
     *
     * @param Joint|null $load
     */
    public function solution(MachineState $state, ?array $load = null): Solution
    {
        $joined = $load === null ? $state->joined : [...$state->joined, $load];
        if ($this->standingKey !== '' && $state->slots === $this->standing) {
            $solution = $this->remembered($this->standingKey, $joined);
            if ($solution !== null) {
                return $solution;
            }
        }
        $common = $this->common($state->slots);

        return $this->solved(
            $state->slots,
            $joined,
            $this->build->key.$common.implode(',', $this->pieces($state->slots)),
            $common,
        );
    }

    /**
     * The values of every branch, winding and flame in a state.
     */
    public function values(MachineState $state): Values
    {
        return $this->valuesOf($state->slots, $this->common($state->slots));
    }

    /** @param array<string, Slot> $slots */
    private function valuesOf(array $slots, string $common): Values
    {
        if ($common !== $this->stamped) {
            foreach ($this->seldom as $id => $p) {
                $p->stamp($slots[$id], $this->values);
            }
            $this->stamped = $common;
        }
        foreach ($this->varying as $id => $p) {
            $p->stamp($slots[$id], $this->values);
        }

        return clone $this->values;
    }

    /**
     * The state as a netlist for a general-purpose simulator; see {@see SpiceNetlist}.
     */
    public function netlist(MachineState $state): SpiceNetlist
    {
        $shunts = [];
        foreach ($this->plan->primitives as $entry) {
            if ($entry['flames'] !== []) {
                $shunts[$entry['flames'][0]] = $entry['branches'][0];
            }
        }

        $values = $this->values($state);
        $branches = $this->plan->branches;
        foreach ($state->joined as [$a, $b, $siemens]) {
            $branches[] = [$a, $b];
            [$values->re[], $values->im[], $values->dc[]] = [$siemens, 0.0, $siemens];
        }

        return new SpiceNetlist($this->plan->network(), $values, $branches, $this->plan->nodeNames(), $shunts);
    }

    /**
     * Names what the state is electrically: states of one key have one solution.
     */
    public function key(MachineState $state): string
    {
        return $this->build->key.
            $this->common($state->slots).
            implode(',', $this->pieces($state->slots)).
            implode('', array_map(fn (array $j) => "#$j[0]:$j[1]:$j[2]", $state->joined));
    }

    /**
     * How that stands which seldom changes: asked once an advance, and when one of them has changed.
     *
     * @param array<string, Slot> $slots
     */
    private function common(array $slots): string
    {
        $common = '';
        foreach ($this->seldom as $id => $p) {
            $common .= $p->electric($slots[$id]).',';
        }

        return $common;
    }

    /**
     * What each of those that change the circuit is just now.
     *
     * @param array<string, Slot> $slots
     * @return array<string, string>
     */
    private function pieces(array $slots): array
    {
        $pieces = [];
        foreach ($this->varying as $id => $p) {
            $pieces[$id] = $p->electric($slots[$id]);
        }

        return $pieces;
    }

    /**
     * Keeps what is known of a settled state, for whoever asks next.
     *
     * @param array<string, string> $pieces
     * @param array<string, int> $due
     */
    private function stand(MachineState $state, string $common, array $pieces, array $due): void
    {
        $this->standing = $state->slots;
        [$this->standingCommon, $this->standingPieces] = [$common, $pieces];
        $this->standingKey = $this->build->key.$common.implode(',', $pieces);
        $this->standingDue = $due;
    }

    /**
     * The solution of a state with what is on its circuit, if it is remembered.
     *
     * @param list<Joint> $joined
     */
    private function remembered(string $key, array $joined): ?Solution
    {
        foreach ($joined as [$a, $b, $g]) {
            $key .= "#$a:$b:$g";
        }

        return $this->memory->find($key);
    }

    /**
     * @param array<string, Slot> $slots
     * @param list<Joint> $joined
     */
    private function solved(array $slots, array $joined, string $key, string $common): Solution
    {
        $base = $this->memory->find($key);
        if ($base === null) {
            $values = $this->valuesOf($slots, $common);
            $static = $this->memory->common(
                $this->build->key.$common,
                fn () => new StaticPart($this->plan->network()->topology, $values),
            );
            $base = $this->memory->keep($key, Solution::of($this->plan->network(), $values, $static));
        }
        foreach ($joined as [$a, $b, $g]) {
            $key .= "#$a:$b:$g";
            $base = $this->memory->find($key) ?? $this->memory->keep($key, $base->with($a, $b, $g));
        }

        return $base;
    }
}
