<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Circuit\Solution;

/**
 * Solved states, by what they electrically are; shared by all candidates of one plan.
 *
 * Bounded: when full it is emptied, which costs time and nothing else.
 */
final class Memory
{
    /** @var array<string, Solution> */
    private array $solutions = [];

    public int $solved = 0;

    public int $asked = 0;

    public function __construct(private readonly int $most = 4000) {}

    /** @param callable(): Solution $solve */
    public function get(string $key, callable $solve): Solution
    {
        $this->asked++;
        if (isset($this->solutions[$key])) {
            return $this->solutions[$key];
        }
        if (count($this->solutions) >= $this->most) {
            $this->solutions = [];
        }
        $this->solved++;

        return $this->solutions[$key] = $solve();
    }
}
