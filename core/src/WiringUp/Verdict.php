<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Model;
use OddSpark\Marking\Care;
use OddSpark\Marking\Line;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;
use OddSpark\Wiring\Finding;
use OddSpark\Words\Words;

/** A wiring judged: its mark under house rules. */
final readonly class Verdict
{
    /** What a thing against the usual way of wiring costs of its line. Ours. */
    private const WRONG = 0.25;

    private const ODD = 0.1;

    /** What is left of a line whose safety does nothing, at most. Ours. */
    private const UNGUARDED = 0.25;

    /** So many of those that are wrong are told in a line; the debrief has all. */
    private const TOLD = 8;

    /**
     * @param list<Tried> $visited each load through the whole visit
     * @param list<Tried> $tried what was thrown, opened, closed and put out
     * @param list<Finding> $against what is against the usual way of wiring, and is not so in the sound one
     */
    public function __construct(
        public Model $wired,
        public Rehearsal $run,
        public array $visited,
        public array $tried,
        public array $against,
    ) {}

    /** Whether it does all that the sound one does, and nothing else. */
    public function isRight(): bool
    {
        return self::wrong($this->visited) === [] && self::wrong($this->tried) === [];
    }

    /** Whether something goes on that a safety should stop. */
    public function isUnguarded(): bool
    {
        return array_filter($this->tried, fn (Tried $t): bool => $t->isUnsafe) !== [];
    }

    /**
     * @param list<string> $dangers what was unsafe while it was wired; ids of {@see \OddSpark\Acts\Danger}
     * @param array<string, int> $hints how many were taken, by grade
     */
    public function mark(Rules $rules, array $dangers = [], array $hints = []): Mark
    {
        $lines = array_filter(
            [$this->works(), $this->guards(), $this->code(), Care::line($dangers, self::share($this->visited))],
            fn (Line $line): bool => $rules->weights[$line->id] > 0,
        );
        $isGrave = Care::isGrave($dangers);
        $caps = [
            ...$this->isUnguarded() ? ['unguarded'] : [],
            ...$isGrave && in_array('unsafe', $rules->caps, true) ? ['unsafe'] : [],
        ];
        $verdict = match (true) {
            $this->isUnguarded() => 'unguarded',
            $this->isRight() => 'wired',
            default => 'miswired',
        };

        return new Mark(array_values($lines), $verdict, $caps, $hints, ['hours' => 0, 'said' => []], $rules);
    }

    /** The loads that stand as they should through the whole visit. */
    private function works(): Line
    {
        $right = Words::say('wiring_up.verdict.works', self::counted($this->visited));

        return new Line('works', self::share($this->visited), [
            Line::say($right), ...self::told(self::wrong($this->visited)),
        ]);
    }

    /** What is thrown, opened, closed and put out. */
    private function guards(): Line
    {
        $share = self::share($this->tried);
        $unsafe = array_filter($this->tried, fn (Tried $t): bool => $t->isUnsafe);
        $others = array_filter(self::wrong($this->tried), fn (Tried $t): bool => ! $t->isUnsafe);

        return new Line('guards', $unsafe === [] ? $share : min($share, self::UNGUARDED), [
            Line::say(Words::say('wiring_up.verdict.guards', self::counted($this->tried))),
            ...self::told([...$unsafe, ...$others]),
        ]);
    }

    /** Of how it is made; as much of it counts as runs, since what is not wired has nothing against it. */
    private function code(): Line
    {
        $lost = 0.0;
        $why = [];
        foreach ($this->against as $finding) {
            $lost += $finding->grade === Finding::WRONG ? self::WRONG : self::ODD;
            $why[] = Line::say($finding->text);
        }

        return new Line('code', max(0.0, 1 - $lost) * self::share($this->visited), $why === []
            ? [Line::say(Words::say('wiring_up.verdict.nothing_against'))]
            : $why);
    }

    /** @return Tried|null what goes wrong first: in the sequence, else in what is tried */
    public function first(): ?Tried
    {
        $wrong = self::wrong($this->visited);
        usort($wrong, fn (Tried $x, Tried $y): int => $x->otherwise[0]['at'] <=> $y->otherwise[0]['at']);

        return $wrong[0] ?? self::wrong($this->tried)[0] ?? null;
    }

    /**
     * @param list<Tried> $all
     * @return list<Tried>
     */
    private static function wrong(array $all): array
    {
        return array_values(array_filter($all, fn (Tried $t): bool => ! $t->isRight()));
    }

    /**
     * Of those from which something follows the share that is right; one from which nothing should follow, and
     * something does, is one more that is wrong.
     *
     * @param list<Tried> $all
     */
    private static function share(array $all): float
    {
        ['right' => $right, 'of' => $of] = self::counted($all);

        return $of === 0 ? 1.0 : $right / $of;
    }

    /**
     * @param list<Tried> $all
     * @return array{right: int, of: int}
     */
    private static function counted(array $all): array
    {
        $counted = array_filter($all, fn (Tried $t): bool => $t->counts || ! $t->isRight());

        return [
            'right' => count(array_filter($counted, fn (Tried $t): bool => $t->isRight())), 'of' => count($counted),
        ];
    }

    /**
     * A few of them in sentences.
     *
     * @param list<Tried> $wrong
     * @return list<array{text: string, entry: int|null}>
     */
    private static function told(array $wrong): array
    {
        return array_map(
            fn (Tried $t): array => Line::say(
                $t->trying === null ? $t->sentences()[0] : "$t->title: ".($t->sentences()[0] ?? ''),
            ),
            array_slice($wrong, 0, self::TOLD),
        );
    }
}
