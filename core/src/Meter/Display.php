<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/**
 * What a display does in time: it follows a change in a moment and not at once, and keeps the smallest
 * and largest figure when asked to, of those that lasted long enough to be caught.
 */
final readonly class Display
{
    /** Time constants within the settling time: a two-hundredth is left. */
    private const CONSTANTS = 5.3;

    /**
     * @param float|null $value exact, as it stands now: INF is open, NAN live; null: nothing shown yet
     * @param int $since tick at which it came
     * @param float|null $before where the display came from
     * @param float|null $least kept, likewise most
     */
    private function __construct(
        public ?float $value = null,
        public int $since = 0,
        public ?float $before = null,
        public bool $keeping = false,
        public ?float $least = null,
        public ?float $most = null,
    ) {}

    /** Nothing shown yet. */
    public static function fresh(bool $keeping = false): self
    {
        return new self(keeping: $keeping);
    }

    /** The circuit offers another figure from this tick on. */
    public function follow(Mode $mode, float $exact, int $tick): self
    {
        if ($this->value !== null && (is_nan($this->value) ? is_nan($exact) : $this->value === $exact)) {
            return $this;
        }
        $kept = $this->kept($mode, $tick);
        $before = $this->value === null ? INF : $this->at($mode, $tick);

        return new self($exact, $tick, is_finite($before) ? $before : null, $this->keeping, $kept->least, $kept->most);
    }

    /** The figure on it at a tick; the exact one as soon as it has settled. */
    public function at(Mode $mode, int $tick): float
    {
        $value = (float) $this->value;
        $settles = $mode->specification()->settles;
        if ($this->before === null || ! is_finite($value) || $tick - $this->since >= $settles) {
            return $value;
        }

        return $value + ($this->before - $value) * exp(-self::CONSTANTS * ($tick - $this->since) / $settles);
    }

    /** With the figure that stands now taken in, if it has lasted. */
    public function kept(Mode $mode, int $tick): self
    {
        $lasted = $tick - $this->since >= $mode->specification()->settles;
        if (! $this->keeping || ! $lasted || $this->value === null || ! is_finite($this->value)) {
            return $this;
        }

        return new self(
            $this->value,
            $this->since,
            $this->before,
            true,
            min($this->least ?? $this->value, $this->value),
            max($this->most ?? $this->value, $this->value),
        );
    }

    /**
     * @return array{value: float|string|null, since: int, before: float|null, keeping: bool, least: float|null,
     *     most: float|null} plain data, for {@see fromArray}
     */
    public function toArray(): array
    {
        $value =
            $this->value === null
                ? null
                : (is_nan($this->value)
                    ? 'live'
                    : (is_infinite($this->value)
                        ? 'open'
                        : $this->value));

        return ['value' => $value] + get_object_vars($this);
    }

    /**
     * @param array{value: float|int|string|null, since: int, before: float|int|null, keeping: bool,
     *     least: float|int|null, most: float|int|null} $array from {@see toArray}
     */
    public static function fromArray(array $array): self
    {
        $array['value'] = match ($array['value']) {
            'live' => NAN,
            'open' => INF,
            null => null,
            default => (float) $array['value'],
        };

        return new self(...$array);
    }
}
