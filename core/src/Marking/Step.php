<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Meter\Mode;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\Suspects;

/**
 * One entry of the log, with what was known before and after it and what would have told most.
 *
 * Of a night: bits that the chart of a logger can be expected to tell, and where one would have told most.
 *
 * @phpstan-type NightTold array{told: float, best: array{from: string, to: string, mode: Mode, bits: float}|null}
 */
final readonly class Step
{
    /**
     * @param list<Choice> $best the best readings before it, best first; empty when nothing could tell more
     * @param float $worth bits that the act itself was expected to tell
     * @param float $watched bits that were gained by watching what it was put to, up to the next entry
     * @param NightTold|null $night where it is left for the night
     * @param array<string, string> $flaws what was wrong with a reading, in words, by id of {@see ReadingTechnique}
     */
    public function __construct(
        public Suspects $before,
        public Suspects $after,
        public array $best,
        public float $worth,
        public float $watched,
        public array $flaws,
        public ?array $night = null,
    ) {}

    /** Bits that the entry did gain. */
    public function gained(): float
    {
        return max(0.0, $this->before->entropy() - $this->after->entropy());
    }

    /** What it told, or could be expected to tell: luck is not taken away. */
    public function told(): float
    {
        return max($this->worth, $this->gained() + $this->watched);
    }

    /** The most that anything could be expected to tell then, bits. */
    public function could(): float
    {
        return $this->best === [] ? 0.0 : $this->best[0]->bits;
    }
}
