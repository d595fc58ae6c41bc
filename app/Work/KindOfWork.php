<?php

namespace App\Work;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Entry;
use App\Tasks\WorkError;
use OddSpark\Acts\ActError;
use OddSpark\Appliance\Plan;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;

/** A kind of work that a job can be: what is frozen with it, its hints, how it is marked and gone over. */
interface KindOfWork
{
    /**
     * What of an appliance a job keeps.
     *
     * @throws WorkError when there is no such job to be had of it
     */
    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen;

    /** Whether a fault is looked for, so that there are suspects. */
    public function hasSuspects(): bool;

    /**
     * The hint of a grade, as things stand.
     *
     * @param Entry|null $before only what came before this entry
     * @param callable(float): void $tell how far it is, 0 to 1
     *
     * @throws ActError when there are none
     */
    public function hint(Attempt $attempt, string $grade, ?Entry $before, callable $tell): string;

    /**
     * @param (callable(int, int): void)|null $progress entries done, of how many
     * @return array{\Closure(Rules): Mark, \Closure(): array<string, mixed>} its mark under rules, and its debrief
     */
    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array;

    /**
     * What was perceived in it, for its debrief.
     *
     * @return array<string, mixed> {@see \App\Bench\Told::channels}
     */
    public function past(Attempt $attempt, Assignment $assignment): array;
}
