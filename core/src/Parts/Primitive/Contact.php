<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\ComesAndGoes;
use OddSpark\Parts\Ability\Proves;
use OddSpark\Parts\Ability\Scorches;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * Opens or closes between two terminals, following another primitive. Slot: closed.
 *
 * A contact makes a few milliseconds after it is told to and breaks at once, so that of two
 * contacts on one coil the one breaks before the other makes.
 *
 * One with a flaw is open while the flaw holds: above a heat or while something shakes it, after so many
 * makings, after so long, or until it is tapped. Slot then also: makes, taps, since (tick at which it was
 * closed), until (tick up to which it stays open).
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Requirement from Condition
 */
final class Contact extends Primitive implements ComesAndGoes, Proves, Scorches
{
    public const DOES = 'opens closes switches';

    public const VARIES = true;

    public const MECHANICAL = ['stuck', 'follows', 'key', 'when', 'flaw'];

    private const MAKE_TICKS = 4;

    /** Ohms from which on a contact is a bad one that can burn. */
    private const BAD_OHM = 1.0;

    /**
     * Watts in it from which on it gets worse: after so many ms its ohms are so much more, after as many again it is
     * burnt through. From memory.
     */
    private const BURNS_W = 15.0;

    private const WORSE_MS = 900_000;

    private const WORSE_TIMES = 1.5;

    private const BURNT_THROUGH = 2;

    private const UNSCORCHED = ['scorched' => 0, 'hot' => false, 'worse' => null];

    private const FLAWLESS = ['makes' => 0, 'taps' => 0, 'since' => null, 'until' => null];

    /** @var list<string> */
    private readonly array $keys;

    private readonly string $id;

    private readonly mixed $when;

    private readonly ?string $stuck;

    private readonly float $siemens;

    /** @var Requirement|null */
    private readonly ?array $flaw;

    /**
     * @param Figures $p follows: primitive id, key: path in its slot, when: value at which it is
     *     closed (true), ohm: when closed, stuck: open | closed, flaw: {by, above or below: {@see Condition}} that
     * opens it,
     *     {makes: after so many it stays open}, {after_s: closed for so long it opens}, or {taps: so many free it};
     *     with for_s: for so long it then stays open; freed: {@see Condition} that starts its count anew, such as
     *     the loss of power
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

    public static function wiring(array $spec): array
    {
        return [Wired::switch(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [new Figure('ohm', 'Ω')];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault('open', Words::say('parts.contact.does_not_make'), ['stuck' => 'open'], 1.0),
            new NaturalFault('closed', Words::say('parts.contact.does_not_open'), ['stuck' => 'closed'], 0.3),
        ];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        $wants = $spec['when'] ?? true;

        return new Reason(Words::say('parts.contact.is_open', [
            'words' => is_string($wants) ? Words::say('parts.contact.it_closes_at', [
                'wants' => $wants,
            ]) : '.',
        ]), [$spec['follows']]);
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function electric(array $slot): string
    {
        return $slot['closed'] ? '1'.($slot['scorched'] ?? '') : '0';
    }

    public function initial(): array
    {
        return ['closed' => $this->stuck === 'closed', 'due' => null] +
            ($this->flaw === null ? [] : self::FLAWLESS) +
            ($this->isBadly() ? self::UNSCORCHED : []);
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $slot['closed'] ? $this->now($slot) : 0.0);
    }

    /** Drawn in while its armature holds it: one that is stuck does not move. */
    public function shows(array $slot): string
    {
        return $slot['closed'] && $this->stuck === null ? 'drawn in' : '';
    }

    public function follows(): array
    {
        return [$this->id, ...array_column([$this->flaw ?? [], $this->flaw['freed'] ?? []], 'by')];
    }

    public function readsCircuit(): bool
    {
        return $this->isBadly();
    }

    public function react(array $slot, Surroundings $now): array
    {
        return $this->isBadly() ? $this->burnt($this->moved($slot, $now), $now) : $this->moved($slot, $now);
    }

    /**
     * Made, opened, or worn.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function moved(array $slot, Surroundings $now): array
    {
        if ($this->flaw !== null) {
            $slot += self::FLAWLESS; // the flaw may have come while it was running
        }
        $wanted = $this->stuck === null
            ? $now->follow($this->id, ...$this->keys) === $this->when
            : $this->stuck === 'closed';
        if ($this->flaw !== null) {
            $slot = $this->worn($slot, $now);
        }
        if (! $wanted || $this->flaw !== null && $this->isBad($slot, $now)) {
            return ['closed' => false, 'due' => null] + ($this->flaw === null ? [] : ['since' => null]) + $slot;
        }
        if ($slot['closed']) {
            return $this->flaw === null ? $slot : ['since' => $slot['since'] ?? $now->tick] + $slot;
        }
        $due = $slot['due'] ?? $now->tick + self::MAKE_TICKS;

        if ($now->tick < $due) {
            return ['closed' => false, 'due' => $due] + $slot;
        }

        return ['closed' => true, 'due' => null] +
            ($this->flaw === null ? [] : ['makes' => (int) $slot['makes'] + 1, 'since' => $now->tick]) +
            $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $due = min($slot['due'] ?? self::NEVER, $slot['worse'] ?? self::NEVER);

        if ($this->flaw === null) {
            return $due;
        }
        $since = $slot['since'] ?? null;

        return min(
            $due,
            isset($this->flaw['by']) ? Condition::next([$this->flaw], $now) : self::NEVER,
            $slot['until'] ?? self::NEVER,
            isset($this->flaw['after_s']) && $since !== null
                ? (int) $since + (int) ($this->flaw['after_s'] * 1000)
                : self::NEVER,
        );
    }

    /** Whether it makes so badly that it can burn. */
    private function isBadly(): bool
    {
        return 1 / $this->siemens >= self::BAD_OHM;
    }

    /**
     * Siemens by now.
     *
     * @param Slot $slot
     */
    private function now(array $slot): float
    {
        return match ($slot['scorched'] ?? 0) {
            0 => $this->siemens,
            1 => $this->siemens / self::WORSE_TIMES,
            default => 0.0,
        };
    }

    /**
     * What burns in a bad contact makes it worse, also where it cools now and then, until nothing flows.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function burnt(array $slot, Surroundings $now): array
    {
        $slot += self::UNSCORCHED; // it may have become bad while it was running
        if ($slot['worse'] !== null && $now->tick >= $slot['worse']) {
            $slot = ['scorched' => (int) $slot['scorched'] + 1, 'worse' => null] + $slot;
        }
        [$a, $b] = [$this->f->nodes['a'], $this->f->nodes['b']];
        $volts = hypot($now->acVolts($a, $b), $now->dcVolts($a, $b));
        $hot = $slot['closed'] && $volts ** 2 * $this->now($slot) >= self::BURNS_W;
        $worse = $slot['worse'];
        if ($hot && $slot['scorched'] < self::BURNT_THROUGH) {
            $worse ??= $now->tick + self::WORSE_MS;
        }

        return ['hot' => $hot, 'worse' => $worse] + $slot;
    }

    /**
     * A flaw that lasts begins, ends, or is counted anew.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function worn(array $slot, Surroundings $now): array
    {
        if (isset($this->flaw['freed']) && Condition::holds($this->flaw['freed'], $now)) {
            $slot = ['makes' => 0, 'until' => null] + $slot;
        }
        if ($slot['until'] !== null && $now->tick >= $slot['until']) {
            $slot = ['since' => null, 'until' => null] + $slot;
        }
        if ($slot['until'] === null && isset($this->flaw['for_s']) && $this->isBad($slot, $now)) {
            $slot['until'] = $now->tick + (int) ($this->flaw['for_s'] * 1000);
        }

        return $slot;
    }

    /** @param Slot $slot */
    private function isBad(array $slot, Surroundings $now): bool
    {
        return match (true) {
            $slot['until'] !== null => true,
            isset($this->flaw['after_s']) => $slot['since'] !== null &&
                $now->tick - $slot['since'] >= $this->flaw['after_s'] * 1000,
            isset($this->flaw['by']) => Condition::holds($this->flaw, $now),
            isset($this->flaw['makes']) => $slot['makes'] >= $this->flaw['makes'] && ! $slot['closed'],
            default => $slot['taps'] < $this->flaw['taps'],
        };
    }
}
