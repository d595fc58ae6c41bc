<?php

declare(strict_types=1);

namespace OddSpark\Explaining;

use OddSpark\Marking\Line;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** Explanations judged: their mark under house rules. */
final readonly class Sheet
{
    /**
     * @param non-empty-list<Judgement> $judged in the order in which they were asked
     * @param array<string, int> $hints how many were taken, by grade
     */
    public function __construct(public array $judged, private array $hints = []) {}

    public function mark(Rules $rules): Mark
    {
        $lines = array_filter(
            [$this->explained(), $this->root()],
            fn (Line $line): bool => $rules->weights[$line->id] > 0,
        );
        $isRight = array_filter($this->judged, fn (Judgement $j): bool => ! $j->isRight()) === [];
        $verdict = $isRight ? 'explained' : 'unexplained';

        return new Mark(array_values($lines), $verdict, [], $this->hints, ['hours' => 0, 'said' => []], $rules);
    }

    private function explained(): Line
    {
        $right = count(array_filter($this->judged, fn (Judgement $j): bool => $j->isRight()));
        $why = [Line::say(Words::say('explaining.sheet.right', ['right' => $right, 'of' => count($this->judged)]))];
        foreach ($this->judged as $i => $j) {
            if (! $j->isRight()) {
                $why[] = Line::say($j->why, $i);
            }
        }

        return new Line('explained', array_sum(array_column($this->judged, 'share')) / count($this->judged), $why);
    }

    private function root(): Line
    {
        $met = count(array_filter($this->judged, fn (Judgement $j): bool => $j->isRoot));

        return new Line('root', $met / count($this->judged), [
            Line::say(Words::say('explaining.sheet.root', ['met' => $met, 'of' => count($this->judged)])),
        ]);
    }
}
