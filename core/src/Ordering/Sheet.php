<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Marking\Line;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** Questions about a sequence, answered and judged: their mark under house rules. */
final readonly class Sheet
{
    /**
     * @param non-empty-list<array{Item, Judgement}> $judged in the order in which they were asked
     * @param array<string, int> $hints how many were taken, by grade
     */
    public function __construct(public array $judged, private array $hints = []) {}

    public function mark(Rules $rules): Mark
    {
        $lines = array_filter(
            [$this->line('sequence', false), $this->line('proof', true)],
            fn (?Line $line): bool => $line !== null && $rules->weights[$line->id] > 0,
        );
        $isRight = array_filter($this->judged, fn (array $j): bool => ! $j[1]->isRight()) === [];
        $verdict = $isRight ? 'in_order' : 'out_of_order';

        return new Mark(array_values($lines), $verdict, [], $this->hints, ['hours' => 0, 'said' => []], $rules);
    }

    /** What comes after what, or what proves and stops it; null where none of that was asked. */
    private function line(string $id, bool $isOfProof): ?Line
    {
        $asked = array_filter($this->judged, fn (array $j): bool => $j[0]->isOfProof() === $isOfProof);
        if ($asked === []) {
            return null;
        }
        $right = count(array_filter($asked, fn (array $j): bool => $j[1]->isRight()));
        $why = [Line::say(Words::say('ordering.sheet.right', ['right' => $right, 'of' => count($asked)]))];
        foreach ($asked as $i => [, $judgement]) {
            if (! $judgement->isRight()) {
                $why[] = Line::say($judgement->why, $i);
            }
        }
        $shares = array_map(fn (array $j): float => $j[1]->share, $asked);

        return new Line($id, array_sum($shares) / count($asked), $why);
    }
}
