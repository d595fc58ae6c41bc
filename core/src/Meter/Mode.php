<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Words\Words;

/** What the dial of the meter is set to: it reads between two leads. */
enum Mode: string implements Scale
{
    case VoltsAc = 'vac';
    case VoltsLow = 'vlz';
    case VoltsDc = 'vdc';
    case Millivolts = 'mvdc';
    case Ohms = 'ohm';
    case Beep = 'beep';
    case Microfarads = 'uf';
    case Hertz = 'hz';
    case Microamps = 'ua';
    case Milliamps = 'ma';
    case Amps = 'aac';

    public const INPUT_OHM = 1.0e7;

    /** Low-impedance volts: enough to collapse what a cable couples. */
    public const LOW_INPUT_OHM = 3000.0;

    /** What an ammeter puts in series; common practice, no source. */
    public const BURDEN_OHM = ['ua' => 100.0, 'ma' => 1.5, 'aac' => 0.03];

    /** What the fuse of each current range stands, A: microamps and milliamps share one. */
    public const FUSE = ['ua' => ['small', 0.2], 'ma' => ['small', 0.2], 'aac' => ['large', 11.0]];

    public function key(): string
    {
        return $this->value;
    }

    /** How a person calls the position. */
    public function title(): string
    {
        return Words::say("meter.mode.$this->value");
    }

    /** What the meter puts between its leads in this mode, S. */
    public function siemens(): float
    {
        return match ($this) {
            self::Ohms, self::Beep, self::Microfarads => 0.0,
            self::VoltsLow => 1 / self::LOW_INPUT_OHM,
            self::Microamps, self::Milliamps, self::Amps => 1 / self::BURDEN_OHM[$this->value],
            default => 1 / self::INPUT_OHM,
        };
    }

    public function wantsDead(): bool
    {
        return in_array($this, [self::Ohms, self::Beep, self::Microfarads], true);
    }

    /** Whether it reads a current, and so belongs in series. */
    public function isSeries(): bool
    {
        return isset(self::BURDEN_OHM[$this->value]);
    }

    public function isSigned(): bool
    {
        return in_array($this, [self::VoltsDc, self::Millivolts, self::Microamps, self::Milliamps], true);
    }

    public function specification(): Specification
    {
        /** @var array<string, Specification> $made */
        static $made = [];

        return $made[$this->value] ??= match ($this) {
            self::VoltsAc => new Specification('V AC', 6, 600, 0.010, 3, 0.03, 0.02, 500),
            self::VoltsLow => new Specification(Words::say('meter.mode.v_ac_lo'), 600, 600, 0.020, 3, 0.03, 0.02, 500),
            self::VoltsDc => new Specification('V DC', 6, 600, 0.005, 2, 0.05, 0.02, 400),
            self::Millivolts => new Specification(Words::say('meter.mode.mv_dc'), 600, 600, 0.005, 2, 0.05, 0.2, 400),
            self::Ohms => new Specification('Ω', 600, 6e7, 0.009, 2, 0.035, 0.3, 700),
            self::Beep => new Specification('Ω', 600, 600, 0.009, 2, 0.035, 0.3, 100),
            self::Microfarads => new Specification('µF', 6, 6000, 0.019, 2, 0.035, 0.002, 1500),
            self::Hertz => new Specification('Hz', 600, 6000, 0.001, 1, 0.0, 0.0, 500),
            self::Microamps => new Specification('µA', 600, 6000, 0.010, 2, 0.05, 0.15, 400),
            self::Milliamps => new Specification('mA', 60, 600, 0.010, 2, 0.05, 0.01, 400),
            self::Amps => new Specification('A AC', 6, 10, 0.015, 3, 0.04, 0.002, 500),
        };
    }
}
