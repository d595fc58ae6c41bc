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
     * @param string $over what it shows instead of a figure that is out of its reach
     */
    public function __construct(
        public string $unit,
        public float $lowest,
        public float $top,
        public float $share,
        public int $counts,
        public float $scatter,
        public float $hum,
        public int $settles,
        public string $over = 'OL',
    ) {}

    /**
     * The step of the display for a figure: of its range when it is chosen by hand, else of the lowest that holds it.
     */
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
