<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Words\Words;

/** One line of a mark: a share of its weight, and the sentences that say why. */
final readonly class Line
{
    /**
     * @param float $share 0 to 1
     * @param list<array{text: string, entry: int|null}> $why entry is the index in the log
     */
    public function __construct(public string $id, public float $share, public array $why) {}

    /** @return array<string, mixed> */
    public function toArray(float $weight): array
    {
        return [
            'id' => $this->id,
            'title' => Words::say("marking.line.$this->id"),
            'share' => round($this->share, 3),
            'weight' => $weight,
            'points' => round($this->share * $weight, 1),
            'why' => $this->why,
        ];
    }

    /** @return array{text: string, entry: int|null} */
    public static function say(string $text, ?int $entry = null): array
    {
        return ['text' => $text, 'entry' => $entry];
    }
}
