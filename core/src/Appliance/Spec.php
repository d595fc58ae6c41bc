<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Figure;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Wired;

/**
 * A primitive as a kind's document has it: its name in the kind, and its parameters.
 *
 * @phpstan-import-type Figures from Primitive
 */
final readonly class Spec
{
    /**
     * @param class-string<Primitive> $class
     * @param Figures $values parameters by key, of the names that the document gives
     */
    private function __construct(public string $name, public string $class, public array $values) {}

    /** @param Figures $values */
    public static function of(string $name, array $values): self
    {
        return new self($name, Primitives::TYPES[$values['type']] ?? Primitive::class, $values);
    }

    /** @param class-string $ability of {@see \OddSpark\Parts\Ability} */
    public function can(string $ability): bool
    {
        return is_a($this->class, $ability, true);
    }

    public function get(string $key): mixed
    {
        return $this->values[$key] ?? null;
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    /** What moves it: a primitive of the same kind, or what a link stands for. */
    public function follows(): ?string
    {
        return $this->values['follows'] ?? null;
    }

    /** @return list<string> positions that it can be set to, when it is set by position */
    public function positions(): array
    {
        return $this->values['positions'] ?? [];
    }

    /** @return list<Wired> */
    public function wiring(): array
    {
        return $this->class::wiring($this->values);
    }

    /** Whether it is anything to the circuit. */
    public function isElectric(): bool
    {
        return $this->class::joins($this->values) !== [];
    }

    /** @return list<Figure> */
    public function figures(): array
    {
        return $this->class::figures($this->values);
    }

    /** @return list<NaturalFault> */
    public function faults(): array
    {
        return $this->class::faults($this->values);
    }

    /** Whether what is felt of it comes from the fire. */
    public function isOfTheFire(): bool
    {
        return $this->class::isOfTheFire($this->values);
    }

    /** What it draws as a load at a voltage, A. */
    public function draws(float $volts): float
    {
        return $this->class::draws($this->values, $volts);
    }

    /** @param Figures $values that a part has otherwise */
    public function with(array $values): self
    {
        return $values === [] ? $this : new self($this->name, $this->class, array_replace($this->values, $values));
    }
}
