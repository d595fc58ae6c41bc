<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

/** What became of one answer. */
final readonly class Judgement
{
    /**
     * @param list<string> $picked ids of choices
     * @param float $share 0 to 1
     * @param string $why in a sentence
     */
    public function __construct(public array $picked, public float $share, public string $why) {}

    public function isRight(): bool
    {
        return $this->share >= 1.0;
    }

    /** @return array{picked: list<string>, share: float, why: string, right: bool} */
    public function toArray(): array
    {
        return [
            'picked' => $this->picked, 'share' => $this->share, 'why' => $this->why, 'right' => $this->isRight(),
        ];
    }
}
