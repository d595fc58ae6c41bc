<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\Multimeter;
use OddSpark\Meter\Display;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The meter told to keep the least and the most that it shows. */
final readonly class Keep extends Act
{
    public const NAME = 'keep';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['to' => Field::oneOf('on', 'off')];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(display: Display::fresh($this->get('to') === 'on'));
    }

    public function reads(): string
    {
        return Multimeter::KEY;
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'on'
            ? Words::say('acts.keep.set_the_meter_to_hold')
            : Words::say('acts.keep.cleared_min_and_max_of');
    }
}
