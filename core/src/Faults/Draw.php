<?php

declare(strict_types=1);

namespace OddSpark\Faults;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A fault drawn for each of a class from a pool: the same for the same seed, and never the same for two neighbours. */
final class Draw
{
    /**
     * @param non-empty-list<string> $pool ids of faults
     * @param list<int> $people in the order in which they sit or stand on the list
     * @return array<int, string> fault by person; each round of the pool goes once through all of it
     */
    public static function each(array $pool, array $people, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $drawn = $round = [];
        $last = null;
        foreach ($people as $person) {
            if ($round === []) {
                $round = $random->shuffleArray($pool);
                if ($round[0] === $last && count($round) > 1) {
                    $round = [...array_slice($round, 1), $round[0]];
                }
            }
            $drawn[$person] = $last = array_shift($round);
        }

        return $drawn;
    }

    /**
     * For a further try: one that was not had yet; when all were, any but the last.
     *
     * @param non-empty-list<string> $pool
     * @param list<string> $had the first first
     */
    public static function again(array $pool, array $had, int $seed): string
    {
        $new = array_values(array_diff($pool, $had));
        $left = $new ?: array_values(array_diff($pool, array_slice($had, -1))) ?: $pool;

        return $left[(new Randomizer(new Mt19937($seed + count($had))))->getInt(0, count($left) - 1)];
    }
}
