<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;
use OddSpark\Run\BenchState;

/** What the customer is told before one leaves. */
final readonly class Tell extends Act
{
    public const NAME = 'tell';

    public const MINUTES = 1.0;

    public const ABOUT = [
        'found' => 'what was wrong, and what was done',
        'unsafe' => 'that it must not be used, and why',
        'comes_back' => 'that somebody comes back with a part',
        'watch' => 'what to look out for',
    ];

    public static function fields(): array
    {
        return ['about' => Field::oneOf(...array_keys(self::ABOUT))];
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
        return 'Told the customer '.self::ABOUT[$this->get('about')];
    }
}
