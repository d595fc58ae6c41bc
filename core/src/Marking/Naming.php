<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Quality;
use OddSpark\Acts\Repairs\Install;
use OddSpark\Acts\Wires\Jumper;
use OddSpark\Acts\Wires\RunWire;
use OddSpark\Marking\Lines\Basics;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Classes;
use OddSpark\Suspects\Evidence;

/** The names that were given in an attempt, and how they stand against what was known. */
final class Naming
{
    /** @var array<string, bool> */
    private array $apart = [];

    private ?string $verdict = null;

    public function __construct(private readonly AttemptReview $review, private readonly Memory $memory) {}

    /**
     * The names that stand at the end: the last, and those before it whose part was then put right.
     *
     * @return array<string, int> entry by fault, in order
     */
    public function named(): array
    {
        $stand = [];
        $last = null;
        foreach ($this->review->entries(['name']) as $i) {
            $fault = $this->review->act($i)->get('fault');
            foreach ($stand as $other => $at) {
                if (! $this->wasWorkedOn($other, $at, $i)) {
                    unset($stand[$other]);
                }
            }
            unset($stand[$fault]);
            $stand[$fault] = $last = $i;
        }

        return $last === null ? [] : $stand;
    }

    /**
     * The entry before which the name that stands had to be known: where it was given, or where its part was first
     * worked on before that. A swap proves itself; what was known before it is what counts.
     */
    public function knownAt(): ?int
    {
        $named = $this->named();
        if ($named === []) {
            return null;
        }
        $at = end($named);
        $part = explode(':', (string) array_key_last($named))[0];
        foreach ($this->review->entriesThat(Quality::Mends) as $i) {
            if ($i < $at && $this->isWorkOn($i, $part)) {
                return $i;
            }
        }

        return $at;
    }

    /** Whether an entry works on a part or a wire, or puts in something in its stead. */
    private function isWorkOn(int $i, string $part): bool
    {
        $act = $this->review->act($i);
        $wire = $this->review->plan->model->wire($part);
        $ends = $wire === null ? null : [$wire->from, $wire->to];

        return match ($act->name) {
            Install::NAME => $this->review->kind($act->part())?->family === $this->review->kind($part)?->family,
            RunWire::NAME => $ends !== null && Jumper::joins($ends, $act->get('from'), $act->get('to')),
            default => $act->part() === $part,
        };
    }

    /** How the name stands against what was known {@see knownAt}: proved, supported, guess, contradicted or none. */
    public function verdict(): string
    {
        return $this->verdict ??= $this->judged();
    }

    /** Whether any observation would tell one fault from all of some others. */
    public function isApart(string $fault, string $other): bool
    {
        return $this->apart["$fault $other"] ??= $this->anyApart($fault, [$other]);
    }

    /** Whether two faults are the same way of failing of the same part, to whatever degree. */
    public function isSame(string $a, string $b): bool
    {
        return explode('@', $a)[0] === explode('@', $b)[0] && ! str_contains($a.$b, '+') || $a === $b;
    }

    private function judged(): string
    {
        $named = $this->named();
        if ($named === []) {
            return 'none';
        }
        $known = $this->review->steps[$this->knownAt()]->before;
        $fault = $this->compounded(array_keys($named));
        $same = array_values(
            array_filter(
                array_map(strval(...), array_keys($known->weights)),
                fn (string $id) => $this->isSame($id, $fault),
            ),
        );
        if ($same === []) {
            return 'contradicted';
        }
        $others = array_values(
            array_filter(
                array_map(strval(...), array_keys($known->weights)),
                fn (string $id) => ! $this->isSame($id, $fault) && ! $this->isMoreThan($id, $fault),
            ),
        );
        if ($others === [] || ! $this->anyApart($same[0], $others)) {
            return 'proved'; // among single faults: one fault more beside it is not excluded
        }
        $share = array_sum(array_map($known->share(...), $same));
        $named = $this->review->faultSet->faults[$same[0]];
        if ($named->members === []) { // the part and the work on it are what has to be right
            $share = max($share, (new Standing($this->review->faultSet))->shareLike($known, $named));
        }

        return $share >= 0.5 && $this->wasAsked() ? 'supported' : 'guess';
    }

    /**
     * Whether anything was asked that told, before the name had to be known: what was said on arriving and a look at
     * supply, fuel, demand and lamp are where a trace begins, and no trace.
     */
    private function wasAsked(): bool
    {
        for ($i = 0; $i < (int) $this->knownAt(); $i++) {
            $act = $this->review->act($i);
            $isLook = $act->name === 'look' && Basics::proves($this->review, $act) !== [];
            if (
                AttemptReview::isQuestion($act) &&
                ! $isLook &&
                ! $act->is(Quality::Swaps) &&
                $this->review->outcome($i)->refused === null &&
                $this->review->steps[$i]->told() > AttemptReview::SETTLED_BITS
            ) {
                return true;
            }
        }

        return false;
    }

    /** Whether a fault is a compound with another in it. */
    private function isMoreThan(string $compound, string $fault): bool
    {
        foreach ($this->review->faultSet->faults[$compound]->members ?? [] as $member) {
            if ($this->isSame($member->id, $fault)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Several names as the compound that the model has of them, or the last alone.
     *
     * @param list<string> $faults
     */
    private function compounded(array $faults): string
    {
        sort($faults);
        $id = implode('+', $faults);

        return isset($this->review->faultSet->faults[$id])
            ? $id
            : $this->review->act(array_values($this->named())[count($this->named()) - 1])->get('fault');
    }

    private function wasWorkedOn(string $fault, int $from, int $to): bool
    {
        $part = explode(':', $fault)[0];
        foreach ($this->review->entries(['mend', 'spare', 'fuse', 'batteries', 'reset', 'set', 'unjump']) as $i) {
            if (
                $i > $from &&
                $i < $to &&
                ($this->review->act($i)->get('part') === $part || $this->review->act($i)->name === 'unjump')
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether any observation would tell one fault from any of some others.
     *
     * @param list<string> $others
     */
    private function anyApart(string $fault, array $others): bool
    {
        $others = array_values(array_diff($others, [$fault]));
        $ids = array_intersect(
            [$fault, ...$others],
            array_map(strval(...), array_keys($this->review->faultSet->faults)),
        );
        if (! in_array($fault, $ids, true)) {
            return true;
        }
        if (count($ids) > 6) {
            return true; // so many do not all look alike; not worth the search
        }
        $classes = new Classes(
            new Evidence(
                $this->review->plan,
                $this->review->faultSet->only($ids),
                $this->review->seen->visit,
                $this->memory,
            ),
        );
        foreach ($others as $other) {
            if (! in_array($other, $ids, true) || $classes->apart($fault, $other)) {
                return true;
            }
        }

        return false;
    }
}
