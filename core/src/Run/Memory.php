<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Circuit\Solution;
use OddSpark\Circuit\StaticPart;

/**
 * Solved states, by what they electrically are; shared by all candidates of one plan.
 *
 * Bounded: what has not been asked for since half as many others came is let go, which costs time and nothing else.
 */
final class Memory
{
    /** @var array<string, Solution> */
    private array $solutions = [];

    /** @var array<string, Solution> those of before, which are kept when they are asked for again */
    private array $former = [];

    /** @var array<string, StaticPart> by what states have in common */
    private array $static = [];

    public int $solved = 0;

    public int $asked = 0;

    public int $moments = 0;

    /**
     * @param int $most solutions that are kept
     * @param int|null $mostMoments at which something may happen in all runs that share it, where somebody waits for
     *     them; null for any number
     */
    public function __construct(private readonly int $most = 4000, private readonly ?int $mostMoments = null) {}

    /**
     * One moment more at which something happens.
     *
     * @param int $tick of the run
     *
     * @throws RunError when there were too many: something chatters
     */
    public function moment(int $tick): void
    {
        if (++$this->moments > ($this->mostMoments ?? PHP_INT_MAX)) {
            throw RunError::unending($tick / 1000, $this->mostMoments ?? 0);
        }
    }

    /** The solution of a state, if it is remembered. */
    public function find(string $key): ?Solution
    {
        $this->asked++;

        if (isset($this->solutions[$key])) {
            return $this->solutions[$key];
        }

        return isset($this->former[$key]) ? $this->put($key, $this->former[$key]) : null;
    }

    public function keep(string $key, Solution $solution): Solution
    {
        $this->solved++;

        return $this->put($key, $solution);
    }

    private function put(string $key, Solution $solution): Solution
    {
        if (count($this->solutions) >= $this->most / 2) {
            $this->former = $this->solutions;
            $this->solutions = $this->static = [];
        }

        return $this->solutions[$key] = $solution;
    }

    /**
     * What some states have in common, made when it is first asked for.
     *
     * @param callable(): StaticPart $make
     */
    public function common(string $key, callable $make): StaticPart
    {
        return $this->static[$key] ??= $make();
    }
}
