<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/**
 * What a meter of 6000 counts shows: in volts or ohms, already rounded to its range; INF is OL.
 */
final readonly class Reading
{
    /** @param bool $live ohms were asked of a circuit that is live: the figure means nothing */
    public function __construct(public Mode $mode, public float $value, public float $step, public bool $live = false) {}

    /** @return array{mode: string, value: float|null, step: float, live: bool, text: string} value null is OL */
    public function toArray(): array
    {
        return [
            'mode' => $this->mode->value,
            'value' => is_infinite($this->value) ? null : $this->value,
            'step' => $this->step,
            'live' => $this->live,
            'text' => $this->text(),
        ];
    }

    /** @param array{mode: string, value: float|int|null, step: float|int, live: bool} $a */
    public static function fromArray(array $a): self
    {
        return new self(Mode::from($a['mode']), $a['value'] === null ? INF : (float) $a['value'], (float) $a['step'], $a['live']);
    }

    /** As it stands on the display: "24.3 V AC", "OL Ω", "1.204 kΩ". */
    public function text(): string
    {
        if ($this->live) {
            return '⚠ LIVE';
        }
        if (is_infinite($this->value)) {
            return 'OL '.$this->mode->unit();
        }
        [$scale, $prefix] = match (true) {
            $this->step >= 1000 => [1e6, 'M'],
            $this->step >= 1 && $this->mode === Mode::Ohms => [1e3, 'k'],
            default => [1.0, ''],
        };
        $decimals = (int) max(0, round(log10($scale / $this->step)));

        $beep = $this->mode === Mode::Beep && $this->value < Meter::BEEPS_BELOW ? ' ♪' : '';

        return number_format($this->value / $scale, $decimals, '.', '').' '.$prefix.$this->mode->unit().$beep;
    }
}
