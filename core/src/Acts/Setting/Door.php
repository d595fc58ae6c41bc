<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** The door taken off or put on. */
final readonly class Door extends Act
{
    public const NAME = 'door';

    public const MINUTES = 0.5;

    public static function fields(): array
    {
        return ['to' => Field::oneOf('open', 'shut')];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->reach->interlocked($now->state->with(door: $this->get('to'), held: false));
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'open' ? 'Took the door off' : 'Put the door on';
    }
}
