<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** Whoever holds the meter reads out where its leads are and how its dial stands. */
final readonly class ReadOut extends Act
{
    public const NAME = 'read_out';

    public const MINUTES = 0.5;

    public static function fields(): array
    {
        return [];
    }

    public function shows(Situation $now): array
    {
        $names = new Names($now->model);
        $on = fn (?string $place): string => $place === null
            ? Words::say('acts.read_out.off')
            : $names->place($place);

        return ['leads' => Words::say('acts.read_out.are_on', [
            'red' => $on($now->state->red),
            'black' => $on($now->state->black),
            'mode' => $now->state->mode->title(),
        ])];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.read_out.asked');
    }
}
