<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * Which nodes are joined by which branches, and the order in which they are eliminated.
 *
 * The order is found once, by minimum degree, and holds for every state of the switches: an open
 * switch stays in the pattern with zero admittance. What comes out are flat index arrays, so that
 * the hot loops of {@see Elimination} never look at a node by name.
 *
 * Node 0 is earth, the reference. Shape of the arrays, for n nodes and b branches:
 *  - slotOf[b]        slot of a branch; branches between the same two nodes share one slot
 *  - earthOf[b]       node of a branch that ends at earth, or -1 (its slot is then unused)
 *  - order[k]         node eliminated as the k-th
 *  - start[k]..start[k+1]-1  the neighbours of that node which are still there
 *  - near[e], slot[e] neighbour and the slot between
 *  - fill[f]          slot between two neighbours, for each pair in the order of the double loop
 *  - variable         branches that change while a thing runs; the nodes they end at, and others that
 *                     are read all the time, are eliminated last
 *  - pivotOf[node]    when a node is eliminated
 *  - early            how many pivots come before those
 *  - isEarly[node]    whether a node is one of them
 *  - parent[k]        the next pivot that an elimination bears on, −1 for the last of its island: a current
 *                     into a node is met by that node's pivot, its parent, and so on, and by no other
 */
final readonly class Topology
{
    /** Neighbours from which a node waits with the late ones. */
    private const HUB = 3;

    /**
     * @param list<int> $slotOf
     * @param list<int> $earthOf
     * @param list<int> $order
     * @param list<int> $start
     * @param list<int> $near
     * @param list<int> $slot
     * @param list<int> $fill
     * @param list<int> $variable
     * @param list<bool> $isEarly
     * @param list<int> $pivotOf
     * @param list<int> $parent
     */
    public function __construct(
        public int $nodes,
        public int $slots,
        public array $slotOf,
        public array $earthOf,
        public array $order,
        public array $start,
        public array $near,
        public array $slot,
        public array $fill,
        public array $variable,
        public int $early,
        public array $isEarly,
        public array $pivotOf,
        public array $parent,
    ) {}

    /**
     * @param int $nodes number of nodes, earth (0) included
     * @param list<array{int, int}> $branches the two nodes of each branch
     * @param list<int> $variable branches that change while a thing runs
     * @param list<int> $read nodes that are read all the time
     *
     * @throws CircuitError when a branch names a node that is not there
     */
    public static function of(int $nodes, array $branches, array $variable = [], array $read = []): self
    {
        $slotOf = [];
        $earthOf = [];
        $slots = 0;
        /** @var array<int, array<int, int>> $adjacent node => neighbour => slot */
        $adjacent = array_fill(0, $nodes, []);
        foreach ($branches as $b => [$p, $q]) {
            if ($p < 0 || $q < 0 || $p >= $nodes || $q >= $nodes) {
                throw CircuitError::noSuchNode($b, max($p, $q), $nodes);
            }
            $slotOf[$b] = 0;
            $earthOf[$b] = -1;
            if ($p === $q) {
                continue; // both ends on one node: carries nothing
            }
            if ($p === 0 || $q === 0) {
                $earthOf[$b] = $p + $q;

                continue;
            }
            $adjacent[$p][$q] ??= $adjacent[$q][$p] = ++$slots;
            $slotOf[$b] = $adjacent[$p][$q];
        }

        sort($variable);
        $late = array_fill_keys($read, true);
        foreach ($variable as $b) {
            $late[$branches[$b][0]] = $late[$branches[$b][1]] = true;
        }
        $left = $adjacent;
        unset($left[0]);
        $order = $start = $nearOf = $slotsOf = $fill = [];
        $early = 0;
        foreach ([false, true] as $isLate) {
            $buckets = [];
            foreach ($left as $node => $near) {
                if (isset($late[$node]) === $isLate) {
                    $buckets[count($near)][$node] = true;
                }
            }
            $lowest = 0;
            $todo = array_sum(array_map(count(...), $buckets));
            for (; $todo > 0; $todo--) {
                while (empty($buckets[$lowest])) {
                    $lowest++;
                }
                if (! $isLate && $lowest > self::HUB) {
                    // what is left of the early nodes are hubs: eliminated now they would join all that they hold
                    $late += array_fill_keys(array_merge(...array_map(array_keys(...), array_values($buckets))), true);
                    break;
                }
                $node = array_key_first($buckets[$lowest]);
                unset($buckets[$lowest][$node]);
                $near = $left[$node];
                ksort($near);
                unset($left[$node]);
                $order[] = $node;
                $start[] = count($nearOf);
                $names = array_keys($near);
                foreach ($near as $other => $slot) {
                    $nearOf[] = $other;
                    $slotsOf[] = $slot;
                    unset($buckets[count($left[$other])][$other], $left[$other][$node]);
                }
                foreach ($names as $i => $a) {
                    for ($j = $i + 1; $j < count($names); $j++) {
                        $b = $names[$j];
                        $left[$a][$b] ??= $left[$b][$a] = ++$slots;
                        $fill[] = $left[$a][$b];
                    }
                }
                foreach ($names as $a) {
                    $degree = count($left[$a]);
                    if (isset($late[$a]) === $isLate) {
                        $buckets[$degree][$a] = true;
                        $lowest = min($lowest, $degree);
                    }
                }
            }
            $early = $isLate ? $early : count($order);
        }
        $pivotOf = array_fill(0, $nodes, 0);
        foreach ($order as $k => $node) {
            $pivotOf[$node] = $k;
        }
        $isEarly = array_fill(0, $nodes, false);
        foreach (array_slice($order, 0, $early) as $node) {
            $isEarly[$node] = true;
        }
        $start[] = count($nearOf);
        $parent = [];
        foreach (array_keys($order) as $k) {
            $next = PHP_INT_MAX;
            for ($e = $start[$k]; $e < $start[$k + 1]; $e++) {
                $next = min($next, $pivotOf[$nearOf[$e]]);
            }
            $parent[] = $next === PHP_INT_MAX ? -1 : $next;
        }

        return new self(
            $nodes,
            $slots + 1,
            $slotOf,
            $earthOf,
            $order,
            $start,
            $nearOf,
            $slotsOf,
            $fill,
            $variable,
            $early,
            $isEarly,
            $pivotOf,
            $parent,
        );
    }

    /**
     * The pivots that are met by currents into some nodes, ascending.
     *
     * @param list<int> $nodes
     * @return list<int>
     */
    public function met(array $nodes): array
    {
        $met = [];
        foreach ($nodes as $node) {
            if ($node !== 0) {
                for ($k = $this->pivotOf[$node]; $k >= 0 && ! isset($met[$k]); $k = $this->parent[$k]) {
                    $met[$k] = $k;
                }
            }
        }
        sort($met);

        return $met;
    }

    /**
     * Branch values summed into slots, and into each node's admittance to earth.
     *
     * @param list<float> $values
     * @return array{list<float>, list<float>}
     */
    public function scatter(array $values): array
    {
        $y = array_fill(0, $this->slots, 0.0);
        $earth = array_fill(0, $this->nodes, 0.0);
        foreach ($this->earthOf as $b => $node) {
            if ($node >= 0) {
                $earth[$node] += $values[$b];
            } else {
                $y[$this->slotOf[$b]] += $values[$b];
            }
        }
        $y[0] = 0.0; // branches with both ends on one node were sent here

        return [$y, $earth];
    }
}
