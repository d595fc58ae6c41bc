<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** What the next reading should be if all is sound, said before it is taken. */
final readonly class Expect extends Note
{
    public const NAME = 'expect';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['value' => Field::number()];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.expect.expected_to_read', ['value' => $this->get('value')]);
    }
}
