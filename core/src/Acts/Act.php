<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** One thing that a person does, at a moment of bench time counted from his arrival. */
final readonly class Act
{
    /** @param array<string, mixed> $with what the act is done to and with, by the fields of {@see Catalogue} */
    public function __construct(public int $tick, public string $name, public array $with) {}

    public function get(string $field): mixed
    {
        return $this->with[$field] ?? null;
    }

    /** @return array<string, mixed> as in an action-log document */
    public function toArray(): array
    {
        return ['at_s' => $this->tick / 1000, 'act' => $this->name] + $this->with;
    }
}
