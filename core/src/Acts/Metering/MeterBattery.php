<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** A new battery for the meter. */
final readonly class MeterBattery extends Act
{
    public const NAME = 'meter_battery';

    public const MINUTES = 2.0;

    public static function fields(): array
    {
        return [];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(battery: 'good');
    }

    public function said(Names $names): string
    {
        return 'Put a new battery in the meter';
    }
}
