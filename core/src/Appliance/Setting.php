<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/** Something on a part that is set by hand: to one of some positions, or anywhere in a range. */
final readonly class Setting
{
    /**
     * @param list<string> $positions none: it is set to a figure
     * @param array{int|float, int|float}|null $range
     */
    public function __construct(
        public string $lever,
        public string $label,
        public ?string $unit,
        public array $positions,
        public ?array $range,
        public string|int|float $at,
    ) {}

    public function takes(mixed $to): bool
    {
        return $this->range === null || $this->positions !== []
            ? in_array($to, $this->positions, true)
            : is_numeric($to) && $to >= $this->range[0] && $to <= $this->range[1];
    }

    /** "on, off" or "45 to 90". */
    public function choices(): string
    {
        return $this->range === null || $this->positions !== []
            ? implode(', ', $this->positions)
            : Words::say('appliance.setting.to', ['range' => $this->range[0], 'range_2' => $this->range[1]]);
    }

    /** @return list<string|int|float> its positions, or the ends of its range */
    public function ends(): array
    {
        return $this->range ?? $this->positions;
    }
}
