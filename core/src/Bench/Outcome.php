<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Danger;
use OddSpark\Instruments\Measured;
use OddSpark\Meter\Reading;
use OddSpark\Words\Words;

/** What an act showed: a reading, something seen, or why it could not be done; and what danger it was. */
final readonly class Outcome
{
    /**
     * @param array<string, string> $seen thing => how it is
     * @param Measured|null $measured what the circuit offered, without noise; null without a reading, or when it is no
     *     longer known
     * @param list<string> $dangers ids of {@see Danger}
     */
    public function __construct(
        public array $seen = [],
        public ?Reading $reading = null,
        public ?Measured $measured = null,
        public ?string $refused = null,
        public array $dangers = [],
    ) {}

    public static function refuse(string $why): self
    {
        return new self(refused: $why);
    }

    /** @param non-empty-list<string> $dangers for which the house rules stop it: it was tried and not done */
    public static function stop(array $dangers): self
    {
        return new self(refused: Words::say('bench.outcome.the_house_rules_stop_this', [
            'text' => Danger::text($dangers[0]),
        ]), dangers: $dangers);
    }

    /** @param list<string> $dangers that came up before this act and have not been said yet */
    public function told(array $dangers): self
    {
        return $dangers === []
            ? $this
            : new self($this->seen, $this->reading, $this->measured, $this->refused, [...$dangers, ...$this->dangers]);
    }

    public function wasStopped(): bool
    {
        return $this->refused !== null && $this->dangers !== [];
    }
}
