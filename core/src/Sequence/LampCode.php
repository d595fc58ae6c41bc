<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

/** What a lamp shows, taken from its words: "off", "green", "3 flashes", "red slow flashes", "shows E3". */
final readonly class LampCode
{
    private const DARK = ['', 'off', 'dark'];

    private const COLOURS = ['green', 'red', 'amber', 'yellow', 'orange', 'blue', 'white'];

    /** Seconds from one flash to the next; common practice, no source. */
    private const PACES = ['slow' => 2.0, 'fast' => 0.4];

    private const PACE = 1.0;

    /** Seconds from one flash of a count to the next; common practice, no source. */
    private const COUNTED = 0.5;

    /**
     * @param bool $isLit whether it shines at all
     * @param int $flashes how many are counted before a pause; 0 for a lamp that is steady or flashes evenly
     * @param float $every seconds from one flash to the next; 0.0 for a steady one
     * @param string|null $letters what a display shows in place of a lamp
     */
    private function __construct(
        public bool $isLit,
        public int $flashes,
        public float $every,
        public ?string $colour,
        public ?string $letters,
    ) {}

    public static function of(string $words): self
    {
        if (str_starts_with($words, Lamp::LETTERS)) {
            return new self(true, 0, 0.0, null, substr($words, strlen(Lamp::LETTERS)));
        }
        $words = strtolower($words);
        $colour = array_values(array_filter(self::COLOURS, fn (string $c) => str_contains($words, $c)))[0] ?? null;
        if (in_array($words, self::DARK, true)) {
            return new self(false, 0, 0.0, null, null);
        }
        if (! str_contains($words, Lamp::CODE)) {
            return new self(true, 0, 0.0, $colour, null);
        }
        if (preg_match('/\d+/', $words, $count) === 1) {
            return new self(true, (int) $count[0], self::COUNTED, $colour, null);
        }
        $pace = array_filter(self::PACES, fn (string $pace) => str_contains($words, $pace), ARRAY_FILTER_USE_KEY);

        return new self(true, 0, reset($pace) ?: self::PACE, $colour, null);
    }

    /** @return array<string, bool|int|float|string> what is not said of it is left out */
    public function toArray(): array
    {
        return array_filter(
            [
                'lit' => $this->isLit, 'flashes' => $this->flashes, 'every_s' => $this->every,
                'colour' => $this->colour, 'letters' => $this->letters,
            ],
            fn (mixed $v) => $v !== null,
        );
    }
}
