<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

/** The faults that are still possible, with their weights. */
final readonly class Suspects
{
    /**
     * @param array<string, float> $weights by fault id
     * @param float $unknown weight of what no candidate stands for: several faults at once, or one that nobody thought
     *     of
     */
    public function __construct(public array $weights, public float $unknown = 0.0) {}

    /** Share of what no candidate stands for; 1 when none is left. */
    public function unknownShare(): float
    {
        $all = array_sum($this->weights) + $this->unknown;

        return $all > 0 ? $this->unknown / $all : 1.0;
    }

    public function count(): int
    {
        return count($this->weights);
    }

    public function has(string $fault): bool
    {
        return isset($this->weights[$fault]);
    }

    /** Shannon entropy, bits. */
    public function entropy(): float
    {
        return self::bits($this->weights);
    }

    /** Share of one among those left; 0 when it is out. */
    public function share(string $fault): float
    {
        $sum = array_sum($this->weights);

        return $sum > 0 ? ($this->weights[$fault] ?? 0.0) / $sum : 0.0;
    }

    /** @return array<string, float> shares, likeliest first */
    public function ranked(): array
    {
        $sum = array_sum($this->weights) ?: 1.0;
        $shares = array_map(fn (float $w) => $w / $sum, $this->weights);
        arsort($shares);

        return $shares;
    }

    /**
     * @param array<array-key, float> $weights
     */
    public static function bits(array $weights): float
    {
        $sum = array_sum($weights);
        $bits = 0.0;
        foreach ($weights as $w) {
            if ($w > 0) {
                $bits -= $w / $sum * log($w / $sum, 2);
            }
        }

        return $bits;
    }
}
