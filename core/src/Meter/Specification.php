<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/**
 * What an ordinary instrument is in one mode: 6000 counts, its ranges, its accuracy, how fast it is.
 *
 * Accuracy classes, settling and counts are those of common handheld instruments: common practice,
 * no source.
 */
final readonly class Specification
{
    public const COUNTS = 6000;

    /**
     * @param string $unit of the figure, as it stands on the display
     * @param float $lowest largest figure of the lowest range
     * @param float $top largest figure of all; more is OL
     * @param float $share accuracy, of the figure
     * @param int $counts accuracy, in steps of the range
     * @param float $scatter of good parts of one label, as far as it shows in this mode
     * @param float $hum what leads and hum add, in the unit
     * @param int $settles ms until a change is shown but for a two-hundredth; a shorter one is not caught
     */
    private function __construct(
        public string $unit,
        public float $lowest,
        public float $top,
        public float $share,
        public int $counts,
        public float $scatter,
        public float $hum,
        public int $settles,
    ) {}

    public static function of(Mode $mode): self
    {
        /** @var array<string, self> $made */
        static $made = [];

        return $made[$mode->value] ??= self::made($mode);
    }

    private static function made(Mode $mode): self
    {
        return match ($mode) {
            Mode::VoltsAc => new self('V AC', 6, 600, 0.010, 3, 0.03, 0.02, 500),
            Mode::VoltsLow => new self('V AC Lo', 600, 600, 0.020, 3, 0.03, 0.02, 500),
            Mode::VoltsDc => new self('V DC', 6, 600, 0.005, 2, 0.05, 0.02, 400),
            Mode::Millivolts => new self('mV DC', 600, 600, 0.005, 2, 0.05, 0.2, 400),
            Mode::Ohms => new self('Ω', 600, 6e7, 0.009, 2, 0.035, 0.3, 700),
            Mode::Beep => new self('Ω', 600, 600, 0.009, 2, 0.035, 0.3, 100),
            Mode::Microfarads => new self('µF', 6, 6000, 0.019, 2, 0.035, 0.002, 1500),
            Mode::Hertz => new self('Hz', 600, 6000, 0.001, 1, 0.0, 0.0, 500),
            Mode::Microamps => new self('µA', 600, 6000, 0.010, 2, 0.05, 0.15, 400),
            Mode::Milliamps => new self('mA', 60, 600, 0.010, 2, 0.05, 0.01, 400),
            Mode::Amps => new self('A AC', 6, 10, 0.015, 3, 0.04, 0.002, 500),
            Mode::Clamp => new self('A AC', 60, 600, 0.020, 5, 0.04, 0.01, 600),
            Mode::Manometer => new self('in. w.c.', 60, 60, 0.010, 1, 0.02, 0.01, 900),
            Mode::Thermometer => new self('°F', 600, 1800, 0.005, 20, 0.0, 2.0, 5000),
            Mode::DraughtGauge => new self('in. w.c.', 6, 6, 0.020, 1, 0.05, 0.002, 2000),
            Mode::OilGauge => new self('psi', 6000, 6000, 0.010, 1, 0.04, 0.5, 500),
            Mode::Analyser => new self('% O₂', 600, 600, 0.0, 2, 0.05, 0.1, 30_000),
            Mode::SmokePump => new self('smoke', 6000, 6000, 0.0, 1, 0.0, 0.3, 60_000),
        };
    }

    /** The step of the display for a figure: of its range when it is chosen by hand, else of the lowest that holds it. */
    public function step(float $value, ?float $range = null): float
    {
        return ($range ?? $this->range($value)) / self::COUNTS;
    }

    /** The lowest range that holds a figure, as its largest figure. */
    public function range(float $value): float
    {
        $range = $this->lowest;
        while (abs($value) >= $range && $range < $this->top) {
            $range *= 10;
        }

        return $range;
    }

    /** @return list<float> the ranges that can be chosen by hand, as their largest figures */
    public function ranges(): array
    {
        $ranges = [];
        for ($range = $this->lowest; $range <= $this->top * 1.001; $range *= 10) {
            $ranges[] = $range;
        }

        return $ranges;
    }
}
