<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** The door switch held in by hand. */
final readonly class HoldSwitch extends Act
{
    public const NAME = 'hold';

    public const MINUTES = 0.2;

    public static function fields(): array
    {
        return ['to' => Field::oneOf('held', 'released')];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->state->isDoorOpen() ? null : 'The door itself holds the switch in.';
    }

    public function apply(Situation $now): BenchState
    {
        return $now->reach->interlocked($now->state->with(held: $this->get('to') === 'held'));
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'held' ? 'Held the door switch in' : 'Let the door switch go';
    }
}
