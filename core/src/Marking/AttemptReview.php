<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Metering\Dial;
use OddSpark\Acts\Quality;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\Wording;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

/**
 * The account of an attempt: what was known at each entry, what it told, what would have told more, what
 * became of the fault. Every line of a mark is read off it, under whatever rules.
 *
 * The fault is used only where it must be: to say whether the name is right and the repair helps.
 */
final class AttemptReview
{
    /** Bits from which on something is left to tell. */
    public const SETTLED_BITS = 0.05;

    /** @var list<Step> by entry */
    public array $steps = [];

    public readonly Repairs $repairs;

    public readonly Wording $wording;

    private readonly Naming $naming;

    /** @var list<Outcome>|null */
    private ?array $sound = null;

    /** @param (callable(int, int): void)|null $progress called with entries done and of how many */
    public function __construct(
        public readonly Plan $plan,
        public readonly FaultSet $faultSet,
        public readonly Fault $fault,
        public readonly Observations $seen,
        Tracker $tracker,
        private readonly Memory $memory = new Memory(),
        ?callable $progress = null,
    ) {
        $this->wording = new Wording($plan->model);
        $this->repairs = new Repairs($plan, $fault);
        $this->naming = new Naming($this, $memory);
        $this->steps = (new Walk($this, $tracker, $memory, $progress === null ? null : $progress(...)))->steps();
    }

    public function act(int $i): Act
    {
        return $this->seen->entries[$i][0];
    }

    public function outcome(int $i): Outcome
    {
        return $this->seen->entries[$i][1];
    }

    /**
     * Entries of some acts that were done.
     *
     * @param list<string> $names
     * @return list<int>
     */
    public function entries(array $names): array
    {
        return array_values(array_filter(
            array_keys($this->seen->entries),
            fn (int $i) => in_array($this->act($i)->name, $names, true) && $this->outcome($i)->refused === null,
        ));
    }

    /** The kind of a part; null of a wire, and of what is not there. */
    public function kind(string $part): ?Kind
    {
        return $this->plan->model->kindOf($part);
    }

    /** Whether an act asks the appliance something, or does something to it to see what follows. */
    public static function isQuestion(Act $act): bool
    {
        return $act->is(Quality::Asks) ||
            $act->is(Quality::Forces) ||
            $act->is(Quality::Swaps) ||
            $act->name === Dial::NAME;
    }

    /**
     * Entries of a sort that were done.
     *
     * @return list<int>
     */
    public function entriesThat(Quality $quality): array
    {
        return $this->entries(Catalogue::that($quality));
    }

    /**
     * Entries that put something in or worked on something.
     *
     * @return list<int>
     */
    public function work(): array
    {
        return array_values(array_filter(
            $this->entries(array_keys(Catalogue::all())),
            fn (int $i): bool => $this->act($i)->is(Quality::Swaps) || $this->act($i)->is(Quality::Fits),
        ));
    }

    /** Family of the part or wire that an id stands for. */
    public function family(string $id): string
    {
        return $this->plan->model->kindOf($id)->family->value ?? 'wires';
    }

    /**
     * The names that stand at the end: the last, and those before it whose part was then put right.
     *
     * @return array<string, int> entry by fault, in order
     */
    public function named(): array
    {
        return $this->naming->named();
    }

    /** The entry before which the name that stands had to be known; null when none was given. */
    public function knownAt(): ?int
    {
        return $this->naming->knownAt();
    }

    /** How the name stands against what was known then: proved, supported, guess, contradicted or none. */
    public function verdict(): string
    {
        return $this->naming->verdict();
    }

    /** Whether any observation would tell one fault from another. */
    public function isApart(string $fault, string $other): bool
    {
        return $this->naming->isApart($fault, $other);
    }

    /** Whether two faults are the same way of failing of the same part, to whatever degree. */
    public function isSame(string $a, string $b): bool
    {
        return $this->naming->isSame($a, $b);
    }

    public function title(string $id): string
    {
        return $this->faultSet->faults[$id]->title ?? $this->fault->title;
    }

    /**
     * What a sound appliance would have shown to the same acts.
     *
     * @return list<Outcome>
     */
    public function sound(): array
    {
        if ($this->sound !== null) {
            return $this->sound;
        }
        $acts = [];
        foreach (array_keys($this->seen->entries) as $i) {
            if ($this->outcome($i)->refused === null) {
                $acts[$i] = $this->act($i);
            }
        }
        $run = Attempt::run(
            $this->plan,
            Fault::none(),
            new ActionLog(array_values($acts)),
            $this->seen->visit,
            $this->memory,
        );
        $outcomes = array_fill(0, count($this->seen->entries), new Outcome());
        foreach (array_keys($acts) as $n => $i) {
            $outcomes[$i] = $run->observations->entries[$n][1];
        }

        return $this->sound = $outcomes;
    }

    /** Whether what an entry put another in place of had nothing wrong with it. */
    public function wasSound(int $i): bool
    {
        return ! $this->repairs->helped($i) &&
            ! $this->repairs->wasSpoiled($i) &&
            $this->fault->in($this->act($i)->part()) === null;
    }

    /**
     * Entries that put in another part, or worked on one, though most of what stood was elsewhere; what the fault had
     * taken along has to be replaced too.
     *
     * @return list<int>
     */
    public function swappedWithoutProof(): array
    {
        return array_values(array_filter(
            $this->entriesThat(Quality::Swaps),
            fn (int $i): bool => ! $this->repairs->wasSpoiled($i) && $this->shareOf($this->act($i)->part(), $i) < 0.5,
        ));
    }

    /** Share of the suspects at an entry that lie in a part, by themselves or with others. */
    private function shareOf(string $part, int $i): float
    {
        $known = $this->steps[$i]->before;
        $share = 0.0;
        foreach (array_keys($known->weights) as $id) {
            $share += ($this->faultSet->faults[$id] ?? null)?->in($part) === null ? 0.0 : $known->share((string) $id);
        }

        return $share;
    }

    /** The entry that put the leads where they are at an entry. */
    public function placing(int $i): int
    {
        for ($j = $i; $j >= 0; $j--) {
            if ($this->act($j)->name === 'leads' && $this->outcome($j)->refused === null) {
                return $j;
            }
        }

        return $i;
    }
}
