<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** What feels heat, in the hand: held over a flame or in hot water until it would have moved, or let cool. */
final readonly class Warm extends Act
{
    public const NAME = 'warm';

    public const MINUTES = 2.0;

    public const QUALITIES = [Quality::Asks, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('hot', 'cool')];
    }

    public function refusal(Situation $now): ?string
    {
        $refused = $now->reach->part($now->state, $this->part());

        return match (true) {
            $refused !== null => $refused,
            ! isset($now->state->off[$this->part()]) => Words::say('acts.warm.it_has_to_be_in'),
            $now->model->kindOf($this->part())?->feelsHeat() !== true => Words::say('acts.warm.there_is_nothing_in_it'),
            default => null,
        };
    }

    public function apply(Situation $now): BenchState
    {
        return $now->reach->inHand($now->state, $this->part(), $this->get('to') === 'hot');
    }

    public function said(Names $names): string
    {
        return Words::say($this->get('to') === 'hot' ? 'acts.warm.warmed' : 'acts.warm.let_cool', [
            'part' => $names->part($this->part()),
        ]);
    }
}
