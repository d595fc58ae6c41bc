<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * An instrument in the bag: where it goes, what it loads the circuit with, how it reads. One class each, registered in
 * {@see Bag}.
 */
abstract readonly class Instrument
{
    /** As it is written in logs. */
    public const KEY = '';

    /** Minutes of labour that putting it on costs; common practice, no source. */
    public const MINUTES = 0.0;

    public static function title(): string
    {
        return Words::say('instruments.title.'.static::KEY);
    }

    /** Whether it is on something. */
    abstract public function isOn(BenchState $state): bool;

    /** What it shows where it is on. */
    abstract public function read(Site $site): Measured;
}
