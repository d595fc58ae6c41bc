<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;

/** A question to the customer. */
final readonly class Ask extends Act
{
    public const NAME = 'ask';

    public const TITLE = 'Asking the customer';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Barrable];

    public static function fields(): array
    {
        return ['question' => Field::oneOf(...array_keys(self::QUESTIONS))];
    }

    public const QUESTIONS = [
        'since' => 'since when?',
        'display' => 'what does the thermostat show?',
        'outside' => 'are any lights or codes showing?',
        'noise' => 'any noise?',
        'smell' => 'any smell?',
        'rooms' => 'which rooms are cold, and which too warm?',
        'touched' => 'what have you done to it yourself?',
        'filter' => 'when was the filter changed?',
        'work' => 'any electrical work lately?',
    ];

    public function shows(Situation $now): array
    {
        return ['answer' => $now->state->answers[$this->get('question')] ?? 'I could not say.'];
    }

    public function tells(): Tells
    {
        return Tells::Hearsay;
    }

    public function said(Names $names): string
    {
        return 'Asked: '.self::QUESTIONS[$this->get('question')];
    }
}
