<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\MovesSpindle;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Words\Words;

/** A shaft turned by hand, or the spindle of a valve whose head is off. */
final readonly class Turn extends Act
{
    public const NAME = 'turn';

    public const MINUTES = 0.5;

    /** A head that takes so many times as long as it should moves a spindle that is stiff. */
    private const STIFF = 1.5;

    public const QUALITIES = [Quality::Asks, Quality::Touches];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        $hands = $now->model->kindOf($this->part())?->hands();

        return $now->reach->part($now->state, $this->part()) ??
            match (true) {
                $hands?->turn === true => null,
                $hands?->head !== true => Words::say('acts.turn.there_is_nothing_on_it'),
                isset($now->state->heads[$this->part()]) => null,
                default => Words::say('acts.turn.its_head_is_on_the'),
            };
    }

    public function risks(Situation $now): array
    {
        $turns = $this->moved($now, Turns::class);

        return $turns === null || $now->machine->shows($now->state, $turns) === '' ? [] : ['moving-part'];
    }

    public function shows(Situation $now): array
    {
        $set = $now->noticing->sick($now->state, $this->part())->set ?? [];
        $shaft = $this->moved($now, Turns::class);
        if ($shaft !== null) {
            return ['shaft' => match (true) {
                $set["$shaft.seized"] ?? false => Words::say('acts.turn.does_not_turn'),
                ($set["$shaft.drag"] ?? 1.0) < 0.9 => Words::say('acts.turn.turns_heavily'),
                default => Words::say('acts.turn.turns_freely'),
            }];
        }
        $head = (string) $this->moved($now, MovesSpindle::class);

        return ['spindle' => match (true) {
            isset($set["$head.seized"]) => Words::say('acts.turn.does_not_turn'),
            ($set["$head.travel_s"] ?? 0.0) > self::STIFF * $now->plan->given("$head.travel_s") => Words::say(
                'acts.turn.turns_stiffly',
            ),
            default => Words::say('acts.turn.turns_freely'),
        }];
    }

    /**
     * What of the part is turned.
     *
     * @param class-string $ability
     */
    private function moved(Situation $now, string $ability): ?string
    {
        $name = array_key_first($now->model->parts()[$this->part()]->kind->those($ability));

        return $name === null ? null : "{$this->part()}.$name";
    }

    public function said(Names $names): string
    {
        return Words::say('acts.turn.turned_by_hand', ['part' => $names->part($this->part())]);
    }
}
