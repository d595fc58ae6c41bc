<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Scale;

/**
 * Something that can be asked of an appliance, and what each suspect would answer: a reading, a look, a moment.
 *
 * Suspects are numbered, in the order of those that the question was made for.
 */
final readonly class Question
{
    /** Minutes after which what is asked has to tell twice as much. From memory. */
    private const PATIENCE = 6.0;

    /** @var list<float> how far a display, or a person's notion of a moment, may stand from each figure */
    private array $tolerance;

    /**
     * @param string $kind volts, most, ohms, tap, look, hand, perceived, first, last
     * @param string $text as it is said: "volts from Limit a to Limit b, 50 s into a call"
     * @param list<string> $places what it is asked of: places, a part, or a channel
     * @param float $minutes of labour, and of waiting till it can be asked
     * @param list<float|string> $values by suspect: a figure, or a class
     * @param Scale|null $mode of the instrument that shows figures
     * @param Comparison|null $clock when the figures are moments
     * @param float $handy share of its bits that counts, for what has to be done before it can be asked
     * @param int|null $tick moment at which it is asked, or from which on
     */
    public function __construct(
        public string $kind,
        public string $text,
        public array $places,
        public float $minutes,
        public array $values,
        public ?Scale $mode = null,
        public ?Comparison $clock = null,
        public ?int $tick = null,
        private float $handy = 1.0,
    ) {
        $this->tolerance = match (true) {
            $mode !== null => array_map(fn (float|string $v) => Meter::tolerance($mode, (float) $v), $values),
            $clock !== null => array_map(
                fn (float|string $v) => $clock->tolerance((int) min(1e9, (float) $v)) / 2,
                $values,
            ), // half on either side
            default => [],
        };
    }

    /**
     * Some suspects by what they would show, those that cannot be told apart together.
     *
     * @param list<int> $of
     * @return list<list<int>>
     */
    public function split(array $of): array
    {
        if ($this->tolerance === []) {
            $bins = [];
            foreach ($of as $i) {
                $bins[$this->values[$i]][] = $i;
            }

            return array_values($bins);
        }
        $values = [];
        foreach ($of as $i) {
            $values[$i] = $this->values[$i];
            if (is_nan($values[$i])) {
                return [$of]; // ohms on what is live for one of them: not to be asked
            }
        }

        return InformationGain::bins($values, $this->tolerance);
    }

    /**
     * The same with other values.
     *
     * @param list<float|string> $values
     */
    public function with(array $values): self
    {
        return new self(
            $this->kind,
            $this->text,
            $this->places,
            $this->minutes,
            $values,
            $this->mode,
            $this->clock,
            $this->tick,
            $this->handy,
        );
    }

    /** The same, so much of its bits counting. */
    public function counting(float $share): self
    {
        return new self(
            $this->kind,
            $this->text,
            $this->places,
            $this->minutes,
            $this->values,
            $this->mode,
            $this->clock,
            $this->tick,
            $this->handy * $share,
        );
    }

    /**
     * Share of its bits that counts when it is weighed against others: what has to be timed, waited for or worked for
     * is asked only where it tells much more.
     */
    public function handiness(): float
    {
        return $this->handy / (1 + $this->minutes / self::PATIENCE) * match ($this->kind) {
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
        $low = $this->word($this->values[$bin[0]]);
        $high = $this->word($this->values[$bin[count($bin) - 1]]);

        return $low === $high ? $low : "$low to $high";
    }

    private function word(float|string $value): string
    {
        return match (true) {
            $this->mode !== null => Meter::show($this->mode, (float) $value)->text(),
            $this->clock !== null => is_infinite((float) $value)
                ? 'never'
                : sprintf('after %d s', round(((float) $value - (int) $this->tick) / 1000)),
            default => (string) $value,
        };
    }
}
