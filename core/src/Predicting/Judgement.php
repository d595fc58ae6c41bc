<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Meter\Reading;

/** What became of one prediction. */
final readonly class Judgement
{
    /**
     * @param float|null $said INF for OL; null where nothing was said
     * @param Reading $shown what the meter shows there
     * @param string|null $mistake id of the usual mistake that gives what was said; null where none does, or it is
     *     right
     * @param string $why in a sentence
     * @param bool $isLive volts there that something feeds
     * @param bool $calledDead they were said to be none
     */
    public function __construct(
        public AskedReading $asked,
        public ?float $said,
        public Reading $shown,
        public bool $isRight,
        public ?string $mistake,
        public string $why,
        public bool $isLive,
        public bool $calledDead,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->asked->toArray() + [
            'said' => $this->said === null || is_infinite($this->said) ? null : $this->said,
            'is_said' => $this->said !== null,
            'shown' => $this->shown->toArray(),
            'right' => $this->isRight,
            'mistake' => $this->mistake,
            'why' => $this->why,
            'called_dead' => $this->calledDead,
        ];
    }
}
