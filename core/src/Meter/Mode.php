<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/** What the dial is set to, or which other instrument shows a figure. */
enum Mode: string
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
    case Clamp = 'clamp';
    case Manometer = 'gauge';
    case Thermometer = 'probe';
    case DraughtGauge = 'draught';
    case Analyser = 'analyser';
    case SmokePump = 'smoke';
    case OilGauge = 'oil_gauge';

    /** Instruments that are put to a tap of the appliance. */
    public const AT_TAPS = ['gauge' => 'Manometer', 'probe' => 'Thermometer', 'draught' => 'Draught gauge', 'analyser' => 'Combustion analyser', 'smoke' => 'Smoke pump', 'oil_gauge' => 'Oil pressure gauge'];

    /** Positions of the dial: those that read between two leads. */
    public const DIAL = 'vac|vlz|vdc|mvdc|ohm|beep|uf|hz|ua|ma|aac';

    public const INPUT_OHM = 1.0e7;

    /** Low-impedance volts: enough to collapse what a cable couples. */
    public const LOW_INPUT_OHM = 3000.0;

    /** What an ammeter puts in series; common practice, no source. */
    public const BURDEN_OHM = ['ua' => 100.0, 'ma' => 1.5, 'aac' => 0.03];

    /** What the fuse of each current range stands, A: microamps and milliamps share one. */
    public const FUSE = ['ua' => ['small', 0.2], 'ma' => ['small', 0.2], 'aac' => ['large', 11.0]];

    /** What the meter puts between its leads in this mode, S. */
    public function siemens(): float
    {
        return match ($this) {
            self::Ohms, self::Beep, self::Microfarads, self::Clamp, self::Manometer, self::Thermometer, self::DraughtGauge, self::Analyser, self::SmokePump, self::OilGauge => 0.0,
            self::VoltsLow => 1 / self::LOW_INPUT_OHM,
            self::Microamps, self::Milliamps, self::Amps => 1 / self::BURDEN_OHM[$this->value],
            default => 1 / self::INPUT_OHM,
        };
    }

    /** Whether it sends a current of its own, and wants a dead circuit. */
    public function wantsDead(): bool
    {
        return in_array($this, [self::Ohms, self::Beep, self::Microfarads], true);
    }

    /** Whether it reads a current, and so belongs in series. */
    public function isSeries(): bool
    {
        return isset(self::BURDEN_OHM[$this->value]);
    }

    /** Whether the figure has a sign. */
    public function isSigned(): bool
    {
        return in_array($this, [self::VoltsDc, self::Millivolts, self::Microamps, self::Milliamps, self::Manometer, self::Thermometer, self::DraughtGauge], true);
    }

    public function specification(): Specification
    {
        return Specification::of($this);
    }
}
