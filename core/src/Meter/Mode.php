<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/** What the dial is set to. */
enum Mode: string
{
    case VoltsAc = 'vac';
    case VoltsDc = 'vdc';
    case VoltsLow = 'vlz';
    case Ohms = 'ohm';
    case Beep = 'beep';
    case Microamps = 'ua';

    public const INPUT_OHM = 1.0e7;

    /** Low-impedance volts: enough to collapse what a cable couples. */
    public const LOW_INPUT_OHM = 3000.0;

    /** What an ammeter puts in series on its microamp range; common practice, no source. */
    public const BURDEN_OHM = 100.0;

    /** What stands on the display beside the figure. */
    public function unit(): string
    {
        return match ($this) {
            self::VoltsAc => 'V AC',
            self::VoltsDc => 'V DC',
            self::VoltsLow => 'V AC Lo',
            self::Ohms, self::Beep => 'Ω',
            self::Microamps => 'µA',
        };
    }

    /** What the meter puts between its leads in this mode, S. */
    public function siemens(): float
    {
        return match ($this) {
            self::Ohms, self::Beep => 0.0,
            self::VoltsLow => 1 / self::LOW_INPUT_OHM,
            self::Microamps => 1 / self::BURDEN_OHM,
            default => 1 / self::INPUT_OHM,
        };
    }

    /** Whether it sends a current of its own, and wants a dead circuit. */
    public function wantsDead(): bool
    {
        return $this === self::Ohms || $this === self::Beep;
    }
}
