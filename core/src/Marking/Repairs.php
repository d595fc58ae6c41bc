<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Acts\Quality;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\GoesAlong;
use OddSpark\Run\BenchState;

/** What became of the fault, act by act, as the appliance stood: read off the candidate that is the truth. */
final class Repairs
{
    /** @var array<int, bool> by entry: whether it was faulty before it; last, how it was left */
    private array $faulty = [];

    /** @var array<int, true> entries that replace a part which the fault had taken along */
    private array $spoiled = [];

    /** @var array<string, true> parts that the fault took along or made act, ever */
    private array $symptoms = [];

    /** @var list<string> */
    private array $spoiltParts = [];

    /** @var list<BenchState> state before each entry, and at the end; empty when the truth is no candidate */
    private array $states = [];

    public function __construct(private readonly Plan $plan, private readonly Fault $fault) {}

    /** @param array<string, array{Bench, BenchState}> $candidates that stand before an entry */
    public function before(int $entry, Act $act, array $candidates): void
    {
        [$bench, $state] = $candidates[$this->fault->id] ?? [null, null];
        $this->faulty[$entry] = $bench === null || $bench->isFaulty($state);
        if ($bench === null) {
            return;
        }
        $this->states[] = $state;
        if ($act->is(Quality::Touches) && $act->is(Quality::Mends) && $this->hasGoneAlong($state, $act->part())) {
            $this->spoiled[$entry] = true;
        }
        foreach ($this->plan->model->parts() as $part) {
            if (
                $this->fault->in($part->id) === null &&
                ! isset($state->off[$part->id]) && // in the hand it opens by what is done to it there
                ($this->hasGoneAlong($state, $part->id) || $this->hasTripped($state, $part->id))
            ) {
                $this->symptoms[$part->id] = true;
            }
        }
    }

    /** @param array<string, array{Bench, BenchState}> $candidates that stand after the last entry */
    public function end(array $candidates): void
    {
        [$bench, $state] = $candidates[$this->fault->id] ?? [null, null];
        $this->faulty[] = $bench === null || $bench->isFaulty($state);
        if ($bench !== null) {
            $this->states[] = $state;
            $this->spoiltParts = $bench->spoilt($state);
        }
    }

    public function helped(int $entry): bool
    {
        return $this->faulty[$entry] && ! $this->faulty[$entry + 1];
    }

    public function wasSpoiled(int $entry): bool
    {
        return isset($this->spoiled[$entry]);
    }

    /** Whether a part is one that the fault took along or made act: what it shows is a symptom. */
    public function isSymptom(string $part): bool
    {
        return isset($this->symptoms[$part]);
    }

    /** Whether the fault took a part along anywhere, as a short does a fuse. */
    public function tookAlong(): bool
    {
        return $this->spoiled !== [];
    }

    public function isLeft(): bool
    {
        return end($this->faulty) !== false;
    }

    /** Whether it was made safe, tagged out and the customer told, with a fault in it that must not run. */
    public function isRightlyShutDown(): bool
    {
        return $this->fault->mustNotRun && $this->isShutDown();
    }

    /** Whether it was made safe, tagged out and the customer told. */
    public function isShutDown(): bool
    {
        $last = $this->last();

        return $last !== null && $last->tagged && in_array('unsafe', $last->told, true);
    }

    /** @return list<string> parts that the work spoilt, and that were left so */
    public function spoilt(): array
    {
        return $this->spoiltParts;
    }

    /** How it stood before an entry; null when the truth was no candidate. */
    public function state(int $entry): ?BenchState
    {
        return $this->states[$entry] ?? null;
    }

    /** How it stood after the last entry and what was played after it. */
    public function last(): ?BenchState
    {
        return $this->states === [] ? null : $this->states[count($this->states) - 1];
    }

    /**
     * Whether a fuse of a part has blown or its thermal link opened: something that the fault did to a sound part.
     */
    private function hasGoneAlong(BenchState $state, string $part): bool
    {
        foreach ($this->plan->model->kindOf($part)?->those(GoesAlong::class) ?? [] as $name => $spec) {
            /** @var class-string<GoesAlong> $class */
            $class = $spec->class;
            if ($class::hasGone($state->slots["$part.$name"])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a safety stands open by what it senses, that is made at rest: not a draught switch before the fan runs.
     */
    private function hasTripped(BenchState $state, string $part): bool
    {
        $kind = $this->plan->model->kindOf($part);
        foreach ($kind?->sensors() ?? [] as $name) {
            $spec = $kind->primitives[$name];
            $restsMade = $spec->get('opens_at') > $spec->get('closes_at') || $spec->has('manual_reset');
            if ($restsMade && ! $state->slots["$part.$name"]['made']) {
                return true;
            }
        }

        return false;
    }
}
