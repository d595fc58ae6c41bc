<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Scale;
use OddSpark\Words\Words;

/**
 * Something that can be asked of an appliance, and what each suspect would answer: a reading, a look, a moment.
 *
 * Suspects are numbered, in the order of those that the question was made for.
 */
final class Question
{
    /** Minutes after which what is asked has to tell twice as much. From memory. */
    private const PATIENCE = 6.0;

    /** A figure that a suspect has none of. */
    private const NONE = -1;

    /** @var list<int> by suspect: which of the levels it shows */
    private readonly array $shown;

    /** @var list<float|string> what is shown by any: figures ascending, classes as they come */
    private readonly array $levels;

    /** @var array<int, float> how far a display, or a notion of a moment, may stand from a level, once asked */
    private array $tolerance = [];

    /** Figures that are no further apart than this are told apart nowhere. */
    private readonly float $near;

    private readonly bool $isFigure;

    private ?float $handiness = null;

    /**
     * @param string $kind volts, most, ohms, tap, look, hand, perceived, first, last
     * @param string $text as it is said: "volts from Limit a to Limit b, 50 s into a call"
     * @param list<string> $places what it is asked of: places, a part, or a channel
     * @param float $minutes of labour, and of waiting till it can be asked
     * @param list<float|string> $values by suspect: a figure, or a class; NAN: it cannot be asked of this one
     * @param Scale|null $mode of the instrument that shows figures
     * @param Comparison|null $clock when the figures are moments
     * @param int|null $tick moment at which it is asked, or from which on
     * @param float $handy share of its bits that counts, for what has to be done before it can be asked
     */
    public function __construct(
        public readonly string $kind,
        public readonly string $text,
        public readonly array $places,
        public readonly float $minutes,
        array $values,
        public readonly ?Scale $mode = null,
        public readonly ?Comparison $clock = null,
        public readonly ?int $tick = null,
        private float $handy = 1.0,
    ) {
        $shown = array_fill(0, count($values), self::NONE);
        $levels = $at = [];
        $this->isFigure = $mode !== null || $clock !== null;
        if ($this->isFigure) {
            foreach ($values as $i => $value) {
                if (is_nan((float) $value)) {
                    unset($values[$i]);
                }
            }
            asort($values);
            $top = -1;
            foreach ($values as $i => $value) {
                if ($top < 0 || $levels[$top] !== $value) {
                    $levels[++$top] = $value;
                }
                $shown[$i] = $top;
            }
        } else {
            foreach ($values as $i => $value) {
                $shown[$i] = $at[$value] ??= count($at);
                $levels[$shown[$i]] = $value;
            }
        }
        $this->shown = $shown;
        $this->levels = $levels;
        $this->near = $this->isFigure ? 2 * $this->toleranceOf(0.0) : 0.0;
    }

    private function toleranceOf(float $figure): float
    {
        return $this->mode !== null
            ? Meter::tolerance($this->mode, $figure)
            : ($this->clock?->tolerance((int) min(1e9, $figure)) ?? 0.0) / 2; // half on either side
    }

    /** @return list<int> the suspects of whom it can be asked */
    public function askable(): array
    {
        return array_keys(array_filter($this->shown, fn (int $level) => $level !== self::NONE));
    }

    /**
     * Some suspects by what they would show, those that cannot be told apart together.
     *
     * @param list<int> $of
     * @return list<list<int>>
     */
    public function split(array $of): array
    {
        $at = [];
        foreach ($of as $i) {
            $level = $this->shown[$i];
            if ($level === self::NONE) {
                return [$of]; // ohms on what is live for one of them: not to be asked
            }
            $at[$level][] = $i;
        }
        if (count($at) < 2 || ! $this->isFigure) {
            return array_values($at);
        }
        ksort($at);
        $bins = [];
        $last = null;
        foreach ($at as $level => $ids) {
            if ($last !== null && ! $this->isApart($last, $level)) {
                array_push($bins[count($bins) - 1], ...$ids);
            } else {
                $bins[] = $ids;
            }
            $last = $level;
        }

        return $bins;
    }

    /**
     * Bits that it is expected to tell of some suspects, {@see InformationGain::bits} of {@see split}.
     *
     * @param list<int> $of
     * @param list<float> $weights
     */
    public function bits(array $of, array $weights): float
    {
        $at = [];
        foreach ($of as $i) {
            $level = $this->shown[$i];
            if ($level === self::NONE) {
                return 0.0;
            }
            $at[$level] = ($at[$level] ?? 0.0) + $weights[$i];
        }
        if (count($at) < 2) {
            return 0.0;
        }
        if ($this->isFigure) {
            ksort($at);
            $last = null;
            foreach ($at as $level => $weight) {
                if ($last !== null && ! $this->isApart($last, $level)) {
                    $at[$level] += $at[$last];
                    unset($at[$last]);
                }
                $last = $level;
            }
        }

        return count($at) < 2 ? 0.0 : Suspects::bits($at);
    }

    /** Whether what is shown at a level cannot be taken for the next lower one. */
    private function isApart(int $lower, int $higher): bool
    {
        [$low, $high] = [(float) $this->levels[$lower], (float) $this->levels[$higher]];
        if ($high - $low <= $this->near) { // a tolerance is never less than that of nothing
            return false;
        }
        $this->tolerance[$lower] ??= $this->toleranceOf($low);
        $this->tolerance[$higher] ??= $this->toleranceOf($high);

        return $high === INF || $high - $low > $this->tolerance[$higher] + $this->tolerance[$lower];
    }

    /** The same, so much of its bits counting. */
    public function counting(float $share): self
    {
        $same = clone $this;
        $same->handy *= $share;
        $same->handiness = null;

        return $same;
    }

    /**
     * Share of its bits that counts when it is weighed against others: what has to be timed, waited for or worked for
     * is asked only where it tells much more.
     */
    public function handiness(): float
    {
        return $this->handiness ??= $this->handy / (1 + $this->minutes / self::PATIENCE) * match ($this->kind) {
            'first' => 0.7,
            'last' => 0.5,
            'most' => 0.9,
            default => 1.0,
        };
    }

    /**
     * What a bin shows, in words: of its first and last, where they differ.
     *
     * @param list<int> $bin from {@see split}
     */
    public function shows(array $bin): string
    {
        $low = $this->word($this->levels[$this->shown[$bin[0]]]);
        $high = $this->word($this->levels[$this->shown[$bin[count($bin) - 1]]]);

        return $low === $high ? $low : Words::say('suspects.question.to', ['low' => $low, 'high' => $high]);
    }

    private function word(float|string $value): string
    {
        return match (true) {
            $this->mode !== null => Meter::show($this->mode, (float) $value)->text(),
            $this->clock !== null => is_infinite((float) $value)
                ? 'never'
                : Words::say('suspects.question.after_s', [
                    'value' => round(((float) $value - (int) $this->tick) / 1000),
                ]),
            default => (string) $value,
        };
    }
}
