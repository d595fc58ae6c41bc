<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;

/** What the next reading should be if all is sound, said before it is taken. */
final readonly class Expect extends Act
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
        return "Expected to read {$this->get('value')}";
    }
}
