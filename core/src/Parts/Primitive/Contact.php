<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * Opens or closes between two terminals, following another primitive. Slot: closed.
 *
 * A contact makes a few milliseconds after it is told to and breaks at once, so that of two
 * contacts on one coil the one breaks before the other makes.
 *
 * One with a flaw is open while the flaw holds: above a heat, after so many makings, or until it is
 * tapped. Slot then also: makes, taps, bad.
 */
final class Contact extends Primitive
{
    public const VARIES = true;

    public const MECHANICAL = ['stuck', 'follows', 'key', 'when', 'flaw'];

    private const MAKE_TICKS = 4;

    /** @var list<string> */
    private readonly array $keys;

    private readonly string $id;

    private readonly mixed $when;

    private readonly ?string $stuck;

    private readonly float $siemens;

    /** @var array<string, mixed>|null */
    private readonly ?array $flaw;

    /**
     * @param array<string, mixed> $p follows: primitive id, key: path in its slot, when: value at which it is
     *     closed (true), ohm: when closed, stuck: open | closed, flaw: {by, above or below: {@see Condition}} that opens it,
     *     {makes: after so many it stays open}, or {taps: so many free it}
     */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->id = $p['follows'];
        $this->keys = explode('.', $p['key'] ?? 'at');
        $this->when = $p['when'] ?? true;
        $this->stuck = $p['stuck'] ?? null;
        $this->siemens = 1 / ($p['ohm'] ?? 0.015);
        $this->flaw = $p['flaw'] ?? null;
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function electric(array $slot): string
    {
        return $slot['closed'] ? '1' : '0';
    }

    public function initial(): array
    {
        return ['closed' => $this->stuck === 'closed', 'due' => null] + ($this->flaw === null ? [] : ['makes' => 0, 'taps' => 0]);
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $slot['closed'] ? $this->siemens : 0.0);
    }

    public function follows(): array
    {
        return isset($this->flaw['by']) ? [$this->id, $this->flaw['by']] : [$this->id];
    }

    public function react(array $slot, Surroundings $now): array
    {
        if ($this->flaw !== null) {
            $slot += ['makes' => 0, 'taps' => 0]; // the flaw may have come while it was running
        }
        $wanted = $this->stuck === null
            ? $now->follow($this->id, ...$this->keys) === $this->when
            : $this->stuck === 'closed';
        if (! $wanted || $this->flaw !== null && $this->isBad($slot, $now)) {
            return ['closed' => false, 'due' => null] + $slot;
        }
        if ($slot['closed']) {
            return $slot;
        }
        $due = $slot['due'] ?? $now->tick + self::MAKE_TICKS;

        if ($now->tick < $due) {
            return ['closed' => false, 'due' => $due] + $slot;
        }

        return ['closed' => true, 'due' => null] + ($this->flaw === null ? [] : ['makes' => $slot['makes'] + 1]) + $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $due = $slot['due'] ?? self::NEVER;

        return isset($this->flaw['by']) ? min($due, Condition::next([$this->flaw], $now)) : $due;
    }

    /** @param array<string, mixed> $slot */
    private function isBad(array $slot, Surroundings $now): bool
    {
        return match (true) {
            isset($this->flaw['by']) => Condition::holds($this->flaw, $now),
            isset($this->flaw['makes']) => $slot['makes'] >= $this->flaw['makes'] && ! $slot['closed'],
            default => $slot['taps'] < $this->flaw['taps'],
        };
    }
}
