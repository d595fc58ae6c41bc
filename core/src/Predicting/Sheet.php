<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Marking\Line;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** A sheet of predictions, filled in and judged: its mark under house rules. */
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
            [$this->predicted(), $this->live()],
            fn (Line $line): bool => $rules->weights[$line->id] > 0,
        );

        return new Mark(array_values($lines), $this->verdict(), [], $this->hints, ['hours' => 0, 'said' => []], $rules);
    }

    /** The share that a meter would show so. */
    private function predicted(): Line
    {
        $right = count(array_filter($this->judged, fn (Judgement $j): bool => $j->isRight));
        $why = [Line::say(Words::say('predicting.sheet.right', ['right' => $right, 'of' => count($this->judged)]))];
        foreach ($this->judged as $i => $j) {
            if (! $j->isRight) {
                $why[] = Line::say($j->why, $i);
            }
        }

        return new Line('predicted', $right / count($this->judged), $why);
    }

    /** Of what is live, the share that was not called dead: whoever takes it for dead puts his hand there. */
    private function live(): Line
    {
        $live = array_filter($this->judged, fn (Judgement $j): bool => $j->isLive);
        $dead = array_filter($live, fn (Judgement $j): bool => $j->calledDead);
        $why = array_map(
            fn (int $i): array => Line::say(Words::say('predicting.sheet.called_dead', [
                'shown' => $this->judged[$i]->shown->text(),
            ]), $i),
            array_keys($dead),
        );

        return new Line(
            'live',
            $live === [] ? 1.0 : 1 - count($dead) / count($live),
            $why === [] ? [Line::say(Words::say('predicting.sheet.none_called_dead'))] : $why,
        );
    }

    /** The mistake that was made most; that there was none. */
    private function verdict(): string
    {
        $made = array_count_values(array_filter(array_map(fn (Judgement $j) => $j->mistake, $this->judged)));
        arsort($made);

        return array_key_first($made) ?? ($this->isAllRight() ? 'sound' : 'unsure');
    }

    private function isAllRight(): bool
    {
        return array_filter($this->judged, fn (Judgement $j): bool => ! $j->isRight) === [];
    }
}
