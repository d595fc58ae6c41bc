<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Observations;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;

/**
 * Two faults at once: the likeliest pairs, run against all that was observed.
 *
 * Pruned by what they cannot explain: where the healthy appliance was first contradicted, one of the two must by itself
 * have agreed. Pairs that hide each other there are left to "unknown", as are those beyond the bound.
 */
final readonly class Pairs
{
    /** The most that are run: the likeliest. */
    public const MOST = 300;

    /** So many are run together, between two words of progress. */
    private const BATCH = 25;

    /**
     * @param Suspects $left pairs that still stand
     * @param int $run how many were run, of all that could explain
     */
    private function __construct(public Suspects $left, public int $run, public int $of, public FaultSet $faultSet) {}

    /**
     * @param list<Suspects> $steps of {@see Tracker::follow} with single faults
     * @param (callable(int, int): void)|null $progress pairs done, of those that are run
     */
    public static function of(
        Plan $plan,
        FaultSet $singles,
        Observations $seen,
        array $steps,
        Memory $memory = new Memory(),
        int $most = self::MOST,
        ?callable $progress = null,
    ): self {
        $singles = $singles->only(array_keys(array_filter($singles->faults, fn (Fault $f) => $f->members === [])));
        $explain = $singles->faults;
        foreach ($steps as $step) {
            if (! $step->has(Fault::HEALTHY)) {
                $explain = array_intersect_key($singles->faults, $step->weights);
                break;
            }
        }
        $weights = [];
        foreach ($explain as $a => $one) {
            foreach ($singles->faults as $b => $other) {
                if (
                    $a === Fault::HEALTHY ||
                    $b === Fault::HEALTHY ||
                    $one->part === $other->part ||
                    (isset($explain[$b]) && $b <= $a)
                ) {
                    continue;
                }
                $weights["$a+$b"] = $one->weight * $other->weight;
            }
        }
        arsort($weights);
        $run = array_slice(array_keys($weights), 0, $most);
        $left = [];
        $all = $singles->compounds(array_map(fn (string $pair) => explode('+', $pair), $run));
        foreach (array_chunk(array_keys($all->faults), self::BATCH) as $i => $batch) {
            $end = (new Tracker($plan, $all->only($batch), $seen->visit, $memory))->follow($seen);
            $left += end($end)->weights;
            if ($progress !== null) {
                $progress(min(count($run), ($i + 1) * self::BATCH), count($run));
            }
        }

        return new self(new Suspects($left), count($run), count($weights), $all);
    }
}
