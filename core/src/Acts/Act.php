<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Model;
use OddSpark\Instruments\Measured;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * One thing that a person does, at a moment of bench time counted from his arrival: its fields, who may reach what it
 * is done to, what it risks, what it does, what it shows, how it is said. One class each, registered in
 * {@see Catalogue}.
 *
 * Minutes of labour are common practice, no source; they order acts, they do not price them.
 *
 * @phpstan-type Fields array<string, bool|int|float|string|list<string>|null>
 */
abstract readonly class Act
{
    /** As it is written in a log. */
    public const NAME = '';

    public const MINUTES = 0.0;

    /** @var list<Quality> */
    public const QUALITIES = [];

    public string $name;

    /**
     * @param int $tick ms since the arrival
     * @param Fields $with what the act is done to and with, by its fields, checked
     */
    final public function __construct(public int $tick, public array $with = [], ?string $name = null)
    {
        $this->name = $name ?? static::NAME;
    }

    /** @return array<string, Field> */
    public static function fields(): array
    {
        return [];
    }

    /** As house rules speak of it, where they can do without it; empty where they cannot. */
    public function title(): string
    {
        return Words::has($key = 'acts.title.'.static::NAME) ? Words::say($key) : '';
    }

    /** Minutes of labour. */
    public function minutes(): float
    {
        return static::MINUTES;
    }

    /** The same on an appliance, where it matters how far apart its parts stand. */
    public function minutesOn(Model $model): float
    {
        return $this->minutes();
    }

    public function is(Quality $quality): bool
    {
        return in_array($quality, static::QUALITIES, true);
    }

    public function get(string $field): mixed
    {
        return $this->with[$field] ?? null;
    }

    /** Whether it puts a new part in. */
    public function putsIn(): bool
    {
        return false;
    }

    /** The part that it is done to, of those that have a field of that name. */
    public function part(): string
    {
        return (string) ($this->with['part'] ?? '');
    }

    /** The same at another moment. */
    public function at(int $tick): static
    {
        return new static($tick, $this->with, $this->name);
    }

    /** Bench time that goes by with it, ms: most acts take none that matters. */
    public function passes(): int
    {
        return 0;
    }

    /** Why it cannot be done here and now; null when it can. */
    public function refusal(Situation $now): ?string
    {
        return null;
    }

    /** @return list<string> what it would have done to a person or a house in life: ids of {@see Danger} */
    public function risks(Situation $now): array
    {
        return [];
    }

    /** What it changes; what follows from it is for the machine to say. */
    public function apply(Situation $now): BenchState
    {
        return $now->state;
    }

    /** The instrument that is read by it, by its key; null when none is. */
    public function reads(): ?string
    {
        return null;
    }

    /** What it measures by itself, with nothing on the appliance. */
    public function measures(Situation $now): ?Measured
    {
        return null;
    }

    /**
     * Whether it puts the meter's leads on places anew, so that a worn one may not touch; false: it presses them on;
     * null: neither.
     */
    public function placesLeads(): ?bool
    {
        return null;
    }

    /** @return array<string, string> what one sees of a thing before one changes it: thing => how it is */
    public function finds(Situation $before): array
    {
        return [];
    }

    /** @return array<string, string> what it lets one see, hear or feel there and then: thing => how it is */
    public function shows(Situation $now): array
    {
        return [];
    }

    /** As it stands in a log: "Looked at Limit". */
    abstract public function said(Names $names): string;

    /** What of the appliance it tells, to those who ask which faults could have shown it. */
    public function tells(): Tells
    {
        return Tells::Fact;
    }

    /** @return array<string, mixed> as in an action-log document */
    public function toArray(): array
    {
        return ['at_s' => $this->tick / 1000, 'act' => $this->name] + $this->with;
    }
}
