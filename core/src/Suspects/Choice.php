<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Bench\Wording;

/** A reading or look that could be taken now, or after an act, and what it is expected to tell. */
final readonly class Choice
{
    /**
     * @param string $kind "vac", "vdc", "ohm" or "look"
     * @param string $red place, or the part looked at
     * @param float $bits expected information
     * @param float $minutes of labour, with what is waited
     * @param array<string, list<string>> $outcomes what would be shown => the faults that would show it
     * @param Act|null $after what is done first
     */
    public function __construct(
        public string $kind,
        public string $red,
        public ?string $black,
        public float $bits,
        public float $minutes,
        public array $outcomes,
        public ?Act $after = null,
    ) {}

    /** The same, after an act that costs so many minutes. */
    public function following(Act $act, float $minutes): self
    {
        return new self(
            $this->kind,
            $this->red,
            $this->black,
            $this->bits,
            $this->minutes + $minutes,
            $this->outcomes,
            $act,
        );
    }

    /** What is asked, in the trade's words, without what is done first. */
    public function said(Wording $wording): string
    {
        $between = $wording->place($this->red).($this->black === null ? '' : ' to '.$wording->place($this->black));

        return match ($this->kind) {
            'look' => "a look at $between",
            'ohm' => "ohms from $between",
            'vdc' => "volts DC from $between",
            default => "volts from $between",
        };
    }

    /** How it would part those that stand: "split 40 from 33". */
    public function splits(): string
    {
        $parts = array_map(fn (array $faults): int => count($faults), array_values($this->outcomes));
        rsort($parts);
        $more = array_splice($parts, 3);
        if ($more !== []) {
            $parts[] = array_sum($more);
        }
        $last = array_pop($parts);

        return match (count($parts)) {
            0 => 'split nothing',
            1 => "split $parts[0] from $last",
            default => 'split them into '.implode(', ', $parts)." and $last",
        };
    }

    public function bitsPerMinute(): float
    {
        return $this->bits / max(0.1, $this->minutes);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind,
            'red' => $this->red,
            'black' => $this->black,
            'after' => $this->after?->toArray(),
            'bits' => round($this->bits, 3),
            'minutes' => round($this->minutes, 2),
            'bits_per_minute' => round($this->bitsPerMinute(), 3),
            'outcomes' => array_map(fn (array $faults) => count($faults), $this->outcomes),
        ];
    }
}
