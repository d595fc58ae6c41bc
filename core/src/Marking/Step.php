<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Suspects\Choice;
use OddSpark\Suspects\Suspects;

/** One entry of the log, with what was known before and after it and what would have told most. */
final readonly class Step
{
    /** @param list<Choice> $best the best readings before it, best first */
    public function __construct(public Suspects $before, public Suspects $after, public array $best, public float $expected) {}

    /** Bits that the entry did gain. */
    public function gained(): float
    {
        return max(0.0, $this->before->entropy() - $this->after->entropy());
    }
}
