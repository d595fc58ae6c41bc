<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * Opens or closes between two terminals, following another primitive. Slot: closed.
 *
 * A contact makes a few milliseconds after it is told to and breaks at once, so that of two
 * contacts on one coil the one breaks before the other makes.
 */
final class Contact extends Primitive
{
    public const VARIES = true;

    public const MECHANICAL = ['stuck', 'follows', 'key', 'when'];

    private const MAKE_TICKS = 4;

    /** @var list<string> */
    private readonly array $keys;

    private readonly string $id;

    private readonly mixed $when;

    private readonly ?string $stuck;

    private readonly float $siemens;

    /**
     * @param array<string, mixed> $p follows: primitive id, key: path in its slot, when: value at which it is
     *     closed (true), ohm: when closed, stuck: open | closed
     */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->id = $p['follows'];
        $this->keys = explode('.', $p['key'] ?? 'at');
        $this->when = $p['when'] ?? true;
        $this->stuck = $p['stuck'] ?? null;
        $this->siemens = 1 / ($p['ohm'] ?? 0.015);
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
        return ['closed' => $this->stuck === 'closed', 'due' => null];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $slot['closed'] ? $this->siemens : 0.0);
    }

    public function follows(): array
    {
        return [$this->id];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $wanted = $this->stuck === null
            ? $now->follow($this->id, ...$this->keys) === $this->when
            : $this->stuck === 'closed';
        if (! $wanted) {
            return ['closed' => false, 'due' => null];
        }
        if ($slot['closed']) {
            return $slot;
        }
        $due = $slot['due'] ?? $now->tick + self::MAKE_TICKS;

        return $now->tick >= $due ? ['closed' => true, 'due' => null] : ['closed' => false, 'due' => $due];
    }

    public function next(array $slot, Surroundings $now): int
    {
        return $slot['due'] ?? self::NEVER;
    }
}
