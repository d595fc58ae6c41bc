<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

/** A reading or look that could be taken now, and what it is expected to tell. */
final readonly class Choice
{
    /**
     * @param string $kind "vac", "ohm" or "look"
     * @param string $red place, or the part looked at
     * @param float $bits expected information
     * @param array<string, list<string>> $outcomes what would be shown => the faults that would show it
     */
    public function __construct(
        public string $kind,
        public string $red,
        public ?string $black,
        public float $bits,
        public float $minutes,
        public array $outcomes,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind, 'red' => $this->red, 'black' => $this->black,
            'bits' => round($this->bits, 3), 'minutes' => $this->minutes,
            'outcomes' => array_map(fn (array $faults) => count($faults), $this->outcomes),
        ];
    }
}
