<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

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
        return Words::say('acts.meter_battery.put_a_new_battery_in');
    }
}
