<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** A question to the customer. */
final readonly class Ask extends Act
{
    public const NAME = 'ask';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Barrable];

    public static function fields(): array
    {
        return ['question' => Field::oneOf(...self::QUESTIONS)];
    }

    public const QUESTIONS = [
        'since',
        'display',
        'outside',
        'noise',
        'smell',
        'rooms',
        'touched',
        'filter',
        'work',
    ];

    public function shows(Situation $now): array
    {
        return ['answer' => $now->state->answers[$this->get('question')] ?? Words::say('acts.ask.i_could_not_say')];
    }

    public function tells(): Tells
    {
        return Tells::Hearsay;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.ask.asked', ['questions' => Words::say('acts.ask.question.'.$this->get('question'))]);
    }
}
