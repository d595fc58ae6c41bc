<?php

namespace App\Work;

use App\Bench\Attempts;
use App\Bench\Following;
use App\Bench\Plans;
use App\Bench\Told;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Entry;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Debrief;
use OddSpark\Marking\Hint;
use OddSpark\Marking\Lines\Judge;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

/** A fault is traced at the bench, and mended. */
class Tracing implements KindOfWork
{
    public function __construct(
        protected readonly Plans $plans,
        private readonly Attempts $attempts,
        private readonly Following $following,
    ) {}

    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $arrivals = $this->plans->arrivals($plan, $visit);

        return Frozen::of($appliance, $arrivals, $fault, null);
    }

    public function hasSuspects(): bool
    {
        return true;
    }

    public function hint(Attempt $attempt, string $grade, ?Entry $before, callable $tell): string
    {
        [$tracker] = $this->following->through($attempt, $before, $tell);

        return $this->helper($this->plans->ofAssignment($attempt->assignment))->of($grade, $tracker);
    }

    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        $plan = $this->plans->ofAssignment($assignment);
        $universe = FaultSet::of($plan->model);
        $memory = new Memory();
        $tracker = new Tracker(
            $plan,
            $universe,
            $assignment->visit,
            $memory,
            Plans::unpackArrivals($assignment->arrivals),
        );
        $account = new AttemptReview(
            $plan,
            $universe,
            $universe->get($assignment->fault),
            $this->attempts->observations($attempt),
            $tracker,
            $memory,
            $progress,
        );

        $beside = $this->judgesBeside($attempt, $assignment);
        $marker = Marker::of($account, $memory, $this->linesBeside(), $beside);

        return [$marker->mark(...), fn (): array => (new Debrief($account))->toArray()];
    }

    /** Who gives hints of an appliance. */
    protected function helper(Plan $plan): Hint
    {
        return new Hint($plan);
    }

    /** Of which work lines come beside those of tracing; null: of none. */
    protected function linesBeside(): ?string
    {
        return null;
    }

    /**
     * Judges of those lines, by what else than the account they judge.
     *
     * @return array<string, Judge> by line
     */
    protected function judgesBeside(Attempt $attempt, Assignment $assignment): array
    {
        return [];
    }

    public function past(Attempt $attempt, Assignment $assignment): array
    {
        return Told::channels(
            $this->attempts->bench($attempt->assignment, null),
            $this->attempts->observations($attempt)->perceived,
        );
    }
}
