<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** New fuses for the current ranges of the meter. */
final readonly class MeterFuse extends Act
{
    public const NAME = 'meter_fuse';

    public const MINUTES = 2.0;

    public static function fields(): array
    {
        return [];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(blown: []);
    }

    public function said(Names $names): string
    {
        return Words::say('acts.meter_fuse.put_new_fuses_in_the');
    }
}
