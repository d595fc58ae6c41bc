<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Bench\Wording;
use OddSpark\Words\Words;

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
        $between = $wording->place($this->red).($this->black === null ? '' : Words::say('suspects.choice.to', [
            'black' => $wording->place($this->black),
        ]));

        return match ($this->kind) {
            'look' => Words::say('suspects.choice.a_look_at', ['between' => $between]),
            'ohm' => Words::say('suspects.choice.ohms_from', ['between' => $between]),
            'vdc' => Words::say('suspects.choice.volts_dc_from', ['between' => $between]),
            default => Words::say('suspects.choice.volts_from', ['between' => $between]),
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
            0 => Words::say('suspects.choice.split_nothing'),
            1 => Words::say('suspects.choice.split_from', ['parts' => $parts[0], 'last' => $last]),
            default => Words::say('suspects.choice.split_them_into_and', [
                'parts' => implode(', ', $parts),
                'last' => $last,
            ]),
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
