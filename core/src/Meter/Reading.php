<?php

declare(strict_types=1);

namespace OddSpark\Meter;

use OddSpark\Words\Words;

/**
 * What an instrument shows: a figure in the unit of its mode, already rounded to its range; INF is OL.
 *
 * @phpstan-type Shown array{mode: string, value: ?float, step: float, live: bool, text: string, unsteady?: bool,
 *     low?: bool, least?: ?float, most?: ?float, range?: float}
 */
final readonly class Reading
{
    /**
     * @param bool $live ohms or microfarads were asked of a circuit that is live: the figure means nothing
     * @param bool $unsteady a lead does not touch: the figure jumps about and means nothing
     * @param bool $low the meter's battery is low, and its figures with it not to be trusted
     * @param float|null $least smallest and largest figure since they were asked to be kept
     * @param float|null $range in which these two were shown, where it was chosen by hand, as its largest figure
     */
    public function __construct(
        public Scale $mode,
        public float $value,
        public float $step,
        public bool $live = false,
        public bool $unsteady = false,
        public bool $low = false,
        public ?float $least = null,
        public ?float $most = null,
        public ?float $range = null,
    ) {}

    /**
     * @return Shown mode, value (null is OL), step, live, text; unsteady, low, least,
     *     most, range when there is something to say
     */
    public function toArray(): array
    {
        return [
            'mode' => $this->mode->key(),
            'value' => self::plain($this->value),
            'step' => $this->step,
            'live' => $this->live,
            'text' => $this->text(),
        ] + array_filter(['unsteady' => $this->unsteady, 'low' => $this->low])
          + ($this->least === null ? [] : ['least' => self::plain($this->least), 'most' => self::plain($this->most)])
          + ($this->range === null ? [] : ['range' => $this->range]);
    }

    /**
     * @param Shown $a as {@see toArray} gives it
     * @param Scale $mode that it was read on
     */
    public static function fromArray(array $a, Scale $mode): self
    {
        $figure = fn (mixed $v): float => $v === null ? INF : (float) $v;

        return new self(
            $mode, $figure($a['value']), (float) $a['step'], $a['live'], $a['unsteady'] ?? false, $a['low'] ?? false,
            array_key_exists('least', $a) ? $figure($a['least']) : null,
            array_key_exists('most', $a) ? $figure($a['most']) : null,
            isset($a['range']) ? (float) $a['range'] : null,
        );
    }

    /** As it stands on the display: "24.3 V AC", "OL Ω", "1.204 kΩ". */
    public function text(): string
    {
        if ($this->live) {
            return '⚠ LIVE';
        }
        if ($this->unsteady) {
            return Words::say('meter.reading.unsteady', ['unit' => $this->mode->specification()->unit]);
        }
        $text = $this->figure($this->value);
        if ($this->mode === Mode::Beep && $this->value < Meter::BEEPS_BELOW) {
            $text .= ' ♪';
        }
        if ($this->least !== null) {
            $text .= Words::say('meter.reading.least_most', [
                'figure' => $this->figure($this->least),
                'figure_2' => $this->figure((float) $this->most),
            ]);
        }

        return $this->low ? Words::say('meter.reading.battery_low', ['text' => $text]) : $text;
    }

    private function figure(float $value): string
    {
        $unit = $this->mode->specification()->unit;
        if (is_infinite($value)) {
            $over = $this->mode->specification()->over;

            return $over === 'OL' ? "OL $unit" : $over;
        }
        // one value has one step; least and most, which may lie in other ranges, are shown in the step of theirs
        $step = $value === $this->value ? $this->step : $this->mode->specification()->step($value, $this->range);
        [$scale, $prefix] = match (true) {
            $this->mode !== Mode::Ohms => [1.0, ''],
            $step >= 1000 => [1e6, 'M'],
            $step >= 1 => [1e3, 'k'],
            default => [1.0, ''],
        };
        $decimals = (int) max(0, round(log10($scale / $step)));

        return number_format($value / $scale, $decimals, '.', '')." $prefix$unit";
    }

    private static function plain(?float $value): ?float
    {
        return $value === null || is_infinite($value) ? null : $value;
    }
}
