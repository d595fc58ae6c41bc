<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;

/** Something to be done before leaving. */
final readonly class Todo extends Act
{
    public const NAME = 'todo';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['item' => Field::words(), 'state' => Field::oneOf('open', 'done', 'gone')];
    }

    public function said(Names $names): string
    {
        return match ($this->get('state')) {
            'done' => 'Ticked off',
            'gone' => 'Took off the list',
            default => 'On the list',
        }.": {$this->get('item')}";
    }
}
