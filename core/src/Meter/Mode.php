<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/** What the dial is set to. */
enum Mode: string
{
    case VoltsAc = 'vac';
    case VoltsDc = 'vdc';
    case Ohms = 'ohm';

    public const INPUT_OHM = 1.0e7;

    /** What stands on the display beside the figure. */
    public function unit(): string
    {
        return match ($this) {
            self::VoltsAc => 'V AC',
            self::VoltsDc => 'V DC',
            self::Ohms => 'Ω',
        };
    }

    /** What the meter puts between its leads in this mode, S. */
    public function siemens(): float
    {
        return $this === self::Ohms ? 0.0 : 1 / self::INPUT_OHM;
    }
}
