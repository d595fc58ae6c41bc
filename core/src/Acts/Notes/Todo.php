<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Words\Words;

/** Something to be done before leaving. */
final readonly class Todo extends Note
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
            'done' => Words::say('acts.todo.ticked_off'),
            'gone' => Words::say('acts.todo.took_off_the_list'),
            default => Words::say('acts.todo.on_the_list'),
        }.": {$this->get('item')}";
    }
}
