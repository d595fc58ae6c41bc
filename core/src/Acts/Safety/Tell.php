<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** What the customer is told before one leaves. */
final readonly class Tell extends Act
{
    public const NAME = 'tell';

    public const MINUTES = 1.0;

    public const ABOUT = [
        'found',
        'unsafe',
        'comes_back',
        'watch',
    ];

    public static function fields(): array
    {
        return ['about' => Field::oneOf(...self::ABOUT)];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(told: array_values(array_unique([...$now->state->told, $this->get('about')])));
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        return Words::say(
            'acts.tell.told_the_customer',
            ['about' => Words::say('acts.tell.about.'.$this->get('about'))],
        );
    }
}
