<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Metering\Dial;
use OddSpark\Acts\Notes\NameFault;
use OddSpark\Acts\Quality;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\Wording;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Meter\Meter;
use OddSpark\Run\Memory;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\Classes;
use OddSpark\Suspects\Evidence;
use OddSpark\Suspects\InformationGain;
use OddSpark\Suspects\Suspects;
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

    private const TOLD = 3;

    /** @var list<Step> by entry */
    public array $steps = [];

    public readonly Repairs $repairs;

    public readonly Wording $wording;

    /** @var array<string, bool> */
    private array $apart = [];

    private ?string $verdict = null;

    /** @var list<Outcome>|null */
    private ?array $sound = null;

    /** @param (callable(int, int): void)|null $progress called with entries done and of how many */
    public function __construct(
        public readonly Plan $plan,
        public readonly FaultSet $faultSet,
        public readonly Fault $fault,
        public readonly Observations $seen,
        private readonly Tracker $tracker,
        private readonly Memory $memory = new Memory(),
        private $progress = null,
    ) {
        $this->wording = new Wording($plan->model);
        $this->repairs = new Repairs($plan, $fault);
        $this->walk();
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

    /** Family of the part or wire that an id stands for. */
    public function family(string $id): string
    {
        return $this->plan->model->kindOf($id)->family->value ?? 'wires';
    }

    public function title(string $id): string
    {
        return $this->faultSet->faults[$id]->title ?? $this->fault->title;
    }

    /**
     * The names that stand at the end: the last, and those before it whose part was then put right.
     *
     * @return array<string, int> entry by fault, in order
     */
    public function named(): array
    {
        $stand = [];
        $last = null;
        foreach ($this->entries(['name']) as $i) {
            $fault = $this->act($i)->get('fault');
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

    /** How the name stands against what was known when it was given: proved, supported, guess, contradicted or none. */
    public function verdict(): string
    {
        return $this->verdict ??= $this->judged();
    }

    /** Whether any observation would tell one fault from all of some others. */
    public function isApart(string $fault, string $other): bool
    {
        return $this->apart["$fault $other"] ??= $this->anyApart($fault, [$other]);
    }

    private function judged(): string
    {
        $named = $this->named();
        if ($named === []) {
            return 'none';
        }
        $known = $this->steps[end($named)]->before;
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

        return $share >= 0.5 ? 'supported' : 'guess';
    }

    /** Whether two faults are the same way of failing of the same part, to whatever degree. */
    public function isSame(string $a, string $b): bool
    {
        return explode('@', $a)[0] === explode('@', $b)[0] && ! str_contains($a.$b, '+') || $a === $b;
    }

    /** Whether a fault is a compound with another in it. */
    private function isMoreThan(string $compound, string $fault): bool
    {
        foreach ($this->faultSet->faults[$compound]->members ?? [] as $member) {
            if ($this->isSame($member->id, $fault)) {
                return true;
            }
        }

        return false;
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
            $this->fault->in($this->act($i)->get('part')) === null;
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

    /**
     * Several names as the compound that the model has of them, or the last alone.
     *
     * @param list<string> $faults
     */
    private function compounded(array $faults): string
    {
        sort($faults);
        $id = implode('+', $faults);

        return isset($this->faultSet->faults[$id])
            ? $id
            : $this->act(array_values($this->named())[count($this->named()) - 1])->get('fault');
    }

    private function wasWorkedOn(string $fault, int $from, int $to): bool
    {
        $part = explode(':', $fault)[0];
        foreach ($this->entries(['mend', 'spare', 'fuse', 'batteries', 'reset', 'set', 'unjump']) as $i) {
            if (
                $i > $from &&
                $i < $to &&
                ($this->act($i)->get('part') === $part || $this->act($i)->name === 'unjump')
            ) {
                return true;
            }
        }

        return false;
    }

    private function walk(): void
    {
        $ranking = new BestReading($this->plan);
        $scrutiny = new ReadingTechnique($this->plan, $this->seen->visit, $this->memory);
        /** @var array<int, Suspects> $before */
        $before = [];
        $best = $worth = $flaws = $watched = [];
        $on = ['meter' => null, 'sight' => null];
        $after = $this->tracker->follow(
            $this->seen,
            function (int $i, Suspects $now) use (
                $ranking,
                $scrutiny,
                &$before,
                &$best,
                &$flaws,
                &$watched,
                &$on,
            ): void {
                [$act, $outcome] = $this->seen->entries[$i];
                $before[$i] = $now;
                foreach ($this->tracker->fellByWatching() as $by => $fell) {
                    if ($on[$by] !== null && $fell !== []) {
                        $watched[$on[$by]] =
                            ($watched[$on[$by]] ?? 0.0) + Suspects::bits($now->weights + $fell) - $now->entropy();
                    }
                }
                if ($outcome->refused === null) {
                    $on['meter'] =
                        $outcome->reading !== null && in_array($act->name, ['leads', 'read', 'dial'], true)
                            ? $i
                            : ($act->name === 'leads'
                                ? null
                                : $on['meter']);
                    $on['sight'] = $act->name === 'look' ? $i : $on['sight'];
                }
                $asks = (self::isQuestion($act) || $act->name === NameFault::NAME) && $outcome->refused === null;
                $best[$i] =
                    $asks && $now->entropy() > self::SETTLED_BITS
                        ? $this->telling(
                            $ranking->rank(
                                $this->tracker->candidates(),
                                $now->weights,
                                4 * self::TOLD,
                                least: self::SETTLED_BITS,
                            ),
                        )
                        : [];
                $flaws[$i] =
                    $outcome->reading === null
                        ? []
                        : $scrutiny->of($act, $outcome->reading, $this->tracker->candidates(), $now->weights);
                $this->repairs->before($i, $act, $this->tracker->candidates());
                if ($this->progress !== null) {
                    ($this->progress)($i, count($this->seen->entries));
                }
            },
            function (int $i, array $expected) use (&$before, &$worth): void {
                $worth[$i] =
                    $this->act($i)->is(Quality::Asks) || $this->act($i)->name === Dial::NAME
                        ? self::worth($expected, $before[$i]->weights)
                        : 0.0;
            },
        );
        $this->repairs->end($this->tracker->candidates());
        foreach (array_keys($this->seen->entries) as $i) {
            if (
                isset($flaws[$i]['moment']) &&
                ($this->sound()[$i]->measured->exact ?? 0.0) >= ReadingTechnique::NOTHING_V
            ) {
                // a sound one would have shown it: it is the fault that keeps it away, not the moment
                unset($flaws[$i]['moment']);
            }
            $this->steps[] = new Step(
                $before[$i],
                $after[$i + 1],
                $best[$i],
                $worth[$i] ?? 0.0,
                $watched[$i] ?? 0.0,
                $flaws[$i],
            );
        }
    }

    /**
     * Bits that an act was expected to tell, from what each suspect would have shown.
     *
     * @param array<string, Outcome> $expected by suspect
     * @param array<string, float> $weights
     */
    private static function worth(array $expected, array $weights): float
    {
        $shows = $figures = $tolerances = [];
        foreach ($expected as $id => $outcome) {
            $key = json_encode([
                $outcome->refused,
                $outcome->seen,
                $outcome->measured === null ? null : is_nan($outcome->measured->exact),
            ]);
            if ($outcome->measured === null || is_nan($outcome->measured->exact)) {
                $shows[$key][] = $id;
            } else {
                $figures[$id] = $outcome->measured->exact;
                $tolerances[$id] = Meter::tolerance(
                    $outcome->measured->reading->mode,
                    $outcome->measured->exact,
                    $outcome->measured->reading->step,
                );
            }
        }

        return InformationGain::bits(
            [...array_values($shows), ...InformationGain::bins($figures, $tolerances)],
            $weights,
        );
    }

    /**
     * The three that would have told most, no two of them the same to a reader.
     *
     * @param list<Choice> $choices best first
     * @return list<Choice>
     */
    private function telling(array $choices): array
    {
        $best = [];
        foreach ($choices as $c) {
            if ($c->bits < self::SETTLED_BITS || count($best) === self::TOLD) {
                break;
            }
            $best[$c->said($this->wording)] ??= $c;
        }

        return array_values($best);
    }

    /**
     * Whether any observation would tell one fault from any of some others.
     *
     * @param list<string> $others
     */
    private function anyApart(string $fault, array $others): bool
    {
        $others = array_values(array_diff($others, [$fault]));
        $ids = array_intersect([$fault, ...$others], array_map(strval(...), array_keys($this->faultSet->faults)));
        if (! in_array($fault, $ids, true)) {
            return true;
        }
        if (count($ids) > 6) {
            return true; // so many do not all look alike; not worth the search
        }
        $classes = new Classes(
            new Evidence($this->plan, $this->faultSet->only($ids), $this->seen->visit, $this->memory),
        );
        foreach ($others as $other) {
            if (! in_array($other, $ids, true) || $classes->apart($fault, $other)) {
                return true;
            }
        }

        return false;
    }
}
