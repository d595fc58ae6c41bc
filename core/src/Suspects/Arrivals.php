<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Arrival;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;

/** How each fault of a set would be found on a visit. */
final readonly class Arrivals
{
    public function __construct(
        private Plan $plan,
        private FaultSet $faultSet,
        private string $visit,
        private Memory $memory,
    ) {}

    /**
     * @param array<string, Arrival> $known those that need not be run
     * @param (callable(int, int): void)|null $progress faults run, of how many
     * @param int $processes in which they are run; {@see Processes}
     * @return array<string, Arrival> in the order of the faults
     */
    public function of(array $known, ?callable $progress, int $processes): array
    {
        $ids = array_map(strval(...), array_keys($this->faultSet->faults));
        $here = [];
        $there = Processes::share($processes, function (int $share) use ($ids, $known, $progress, $processes, &$here) {
            $away = [];
            for ($i = $share; $i < count($ids); $i += $processes) { // those of one part lie together: dealt out in turn
                if ($progress !== null && $share === 0) {
                    $progress($i, count($ids));
                }
                $arrival = $known[$ids[$i]] ?? $this->arrival($ids[$i]);
                if ($share === 0) {
                    $here[$ids[$i]] = $arrival;
                } else {
                    $away[$ids[$i]] = $arrival->toArray(); // it has a way to go
                }
            }

            return $away;
        });
        $all = [];
        foreach ($ids as $i => $id) {
            $all[$id] = $here[$id] ?? Arrival::fromArray($there[$i % $processes][$id]);
        }

        return $all;
    }

    private function arrival(string $id): Arrival
    {
        return (new Bench($this->plan, $this->faultSet->get($id), $this->memory))->arrive($this->visit);
    }
}
