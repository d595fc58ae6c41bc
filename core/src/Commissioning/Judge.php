<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Faults\Fault;
use OddSpark\Marking\AttemptSafetyTest;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/**
 * A commissioning sheet judged by what the appliance had: it is run as it was found and as it was left, and each row
 * compared with that; safeties by whether they were made to act since the last repair, and the fuel stopped.
 */
final readonly class Judge
{
    private Memory $memory;

    /** @param list<Row> $rows of the sheet */
    public function __construct(private Plan $plan, private Fault $fault, private array $rows)
    {
        $this->memory = new Memory();
    }

    /** @param BenchState $left how it stands at the end */
    public function of(Observations $seen, BenchState $left): Sheet
    {
        $evidence = new Evidence($this->plan->model, $seen->entries);
        $figures = new Figures($this->plan, $this->fault, $this->memory);
        $arrival = (new Bench($this->plan, $this->fault, $this->memory))->arrive($seen->visit)->state;
        $found = $figures->of($arrival, $this->rows);
        $now = $this->isShutDown($left) ? null : $figures->of($left, $this->rows);
        $judged = [];
        foreach ($this->rows as $row) {
            $is = $now[$row->id] ?? $found[$row->id] ?? null;
            $written = $evidence->of($row->id);
            if ($is !== null) {
                $judged[] = RowJudged::figure(
                    $row,
                    $found[$row->id] ?? null,
                    $now[$row->id] ?? null,
                    $is,
                    $written,
                    $evidence->isRead($row, $written[0] ?? INF),
                );
            }
        }
        $trials = new AttemptSafetyTest($this->plan, $this->fault, $this->memory);
        $tried = $this->tried($trials, $seen, $evidence->mended);
        foreach ($now === null && $found === null ? [] : $trials->all() as $id) {
            [, $as, $entry] = $evidence->of("safety $id") ?? [null, null, null];
            $judged[] = RowJudged::safety($id, $trials->label($id), $tried[$id] ?? null, $as, $entry);
        }

        $mustNotRun = $this->fault->mustNotRun &&
            (new Bench($this->plan, $this->fault, $this->memory))->isFaulty($left);

        return new Sheet(
            $judged,
            $evidence->signed,
            $found !== null,
            $now !== null,
            $this->isShutDown($left),
            $mustNotRun,
        );
    }

    /** Made safe, tagged out, and the customer told. */
    private function isShutDown(BenchState $left): bool
    {
        return $left->tagged && in_array('unsafe', $left->told, true);
    }

    /** @return array<string, bool> safeties that were made to act after the last repair: whether the fuel stopped */
    private function tried(AttemptSafetyTest $trials, Observations $seen, int $mended): array
    {
        $bench = new Bench($this->plan, $this->fault, $this->memory);
        $state = $bench->resume($bench->arrive($seen->visit)->state);
        foreach (array_slice($seen->entries, 0, $mended + 1) as [$act, $outcome]) {
            $state = $bench->watch($state, $act->tick, fn (): bool => false);
            if ($outcome->refused === null) {
                [$state] = $bench->do($state, $act, $outcome->reading?->unsteady === true ? 'red' : null);
            }
        }

        return $trials->of($state, $seen, $mended + 1)['tried'];
    }
}
