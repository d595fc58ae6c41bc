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
 */
final readonly class Topology
{
    /**
     * @param list<int> $slotOf
     * @param list<int> $earthOf
     * @param list<int> $order
     * @param list<int> $start
     * @param list<int> $near
     * @param list<int> $slot
     * @param list<int> $fill
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
    ) {}

    /**
     * @param int $nodes number of nodes, earth (0) included
     * @param list<array{int, int}> $branches the two nodes of each branch
     *
     * @throws CircuitError when a branch names a node that is not there
     */
    public static function of(int $nodes, array $branches): self
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

        $left = $adjacent;
        unset($left[0]);
        $buckets = [];
        foreach ($left as $node => $near) {
            $buckets[count($near)][$node] = true;
        }
        $order = $start = $nearOf = $slotsOf = $fill = [];
        $lowest = 0;
        while ($left !== []) {
            while (empty($buckets[$lowest])) {
                $lowest++;
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
                $buckets[$degree][$a] = true;
                $lowest = min($lowest, $degree);
            }
        }
        $start[] = count($nearOf);

        return new self($nodes, $slots + 1, $slotOf, $earthOf, $order, $start, $nearOf, $slotsOf, $fill);
    }
}
