<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** Help asked for, of some grade. */
final readonly class Hint extends Note
{
    public const NAME = 'hint';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['grade' => Field::oneOf('where', 'circuit', 'reading')];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.hint.took_a_hint', [
            'words' => match ($this->get('grade')) {
                'where' => Words::say('acts.hint.where_in_the_sequence'),
                'circuit' => Words::say('acts.hint.which_circuit'),
                default => Words::say('acts.hint.which_reading'),
            },
        ]);
    }
}
