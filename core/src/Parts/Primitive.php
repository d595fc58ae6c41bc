<?php

declare(strict_types=1);

namespace OddSpark\Parts;

use OddSpark\Circuit\Values;

/**
 * One thing inside a part that has a state: a contact, a coil, a sensor, a table.
 *
 * It holds only what does not change (parameters, its nodes and branches); its state is a slot, a
 * plain array owned by the run. Kinds of parts are compositions of primitives, as data.
 *
 * Figures are its parameters by their keys, as its kind's document gives them; a slot is what it remembers, by key;
 * changes are parameters that are otherwise, by "part.primitive.key".
 *
 * @phpstan-type Value bool|int|float|string|array<array-key, mixed>|null
 * @phpstan-type Figures array<string, Value>
 * @phpstan-type Slot array<string, Value>
 * @phpstan-type Changes array<string, Value>
 */
abstract class Primitive
{
    public const NEVER = PHP_INT_MAX;

    /** Stands for what a part could be joined to and is not: it has no slot, and nothing ever comes of it. */
    public const NOTHING = '-';

    /** Whether it ever reacts: one that does not is left out of the loop. */
    public const LIVE = true;

    /** Whether its branches change while the appliance runs. */
    public const VARIES = false;

    /** Whether what it becomes depends on the volts of the circuit. */
    public const READS_CIRCUIT = false;

    /**
     * Whether it is at rest as soon as it has reacted: in the same surroundings it would answer the same again, so that
     * nothing that it has become itself is a reason to ask it.
     */
    public const AT_ONCE = false;

    /** Parameters that change how it behaves, but nothing that it stamps for a given slot. */
    public const MECHANICAL = [];

    /** Parameters whose values scatter among good parts of one label. */
    public const SCATTERS = [];

    /** What a part with such a primitive does, as one would look for it. */
    public const DOES = '';

    /**
     * Parameters of a process element, as its document must give them: number, id, ids (a list of them),
     * conditions or items (lists); "?" when it may be left out.
     *
     * @var array<string, string>
     */
    public const GIVEN = [];

    /** Whether a kind of part can have one although it is an element of a process too. */
    public const IN_KINDS = false;

    /**
     * What it puts into the network: branches and windings by the names of its terminals.
     *
     * @param Figures $spec as in the kind's document
     * @return array{branches?: list<array{string, string}>, windings?: list<array{string, string, string, string}>,
     *     flames?: list<array{string, string}>}
     */
    public static function joins(array $spec): array
    {
        return [];
    }

    /**
     * What it is to the wiring, as documented.
     *
     * @param Figures $spec
     * @return list<Wired>
     */
    public static function wiring(array $spec): array
    {
        return [];
    }

    /**
     * The figures that can be set on it.
     *
     * @param Figures $spec
     * @return list<Figure>
     */
    public static function figures(array $spec): array
    {
        return [];
    }

    /**
     * How it fails by its nature.
     *
     * @param Figures $spec
     * @return list<NaturalFault>
     */
    public static function faults(array $spec): array
    {
        return [];
    }

    /**
     * Figures that are otherwise while its part has been taken off: what no longer passes or conducts.
     *
     * @return Figures
     */
    public static function takenOff(): array
    {
        return [];
    }

    /**
     * Whether what is felt there comes from the fire: a safety that feels it stops the fuel. A cylinder, or a pan under
     * a cooling coil, is guarded for its own sake.
     *
     * @param Figures $spec
     */
    public static function isOfTheFire(array $spec): bool
    {
        return true;
    }

    /**
     * What it draws as a load at a voltage, A.
     *
     * @param Figures $spec
     */
    public static function draws(array $spec, float $volts): float
    {
        [$ohm, $reactance] = $spec['run'] ?? [$spec['ohm'] ?? $spec['hot_ohm'] ?? INF, $spec['reactance_ohm'] ?? 0.0];

        return $volts / max(1e-3, hypot((float) $ohm, (float) $reactance));
    }

    /**
     * Why it does not do now what it is there for; null when that is not for it to say but for the wiring.
     *
     * @param Figures $spec with ids of the plan
     * @param Slot $slot
     */
    public static function why(array $spec, array $slot, Surroundings $now): ?Reason
    {
        return null;
    }

    /** Whether what it becomes depends on the volts of the circuit, with the figures that it has. */
    public function readsCircuit(): bool
    {
        return static::READS_CIRCUIT;
    }

    /** @return Slot the slot before anything happened */
    public function initial(): array
    {
        return [];
    }

    /**
     * Ids of the primitives whose slots it reads: when none of them has changed, nor the circuit where
     * it reads that, nor its own time has come, it stays what it is and is not asked.
     *
     * @return list<string>
     */
    public function follows(): array
    {
        return [];
    }

    /**
     * What it reads of slots that it follows, where that is not the whole: keys, or a key and one within it. A change
     * of anything else there does not ask it.
     *
     * @return array<string, list<string|array{string, string}>> by id
     */
    public function reads(): array
    {
        return [];
    }

    /**
     * What of the slot its stamp depends on: two slots with the same answer stamp the same.
     *
     * @param Slot $slot
     */
    public function electric(array $slot): string
    {
        return '';
    }

    /**
     * Writes its admittances and sources for the state it is in.
     *
     * @param Slot $slot
     */
    public function stamp(array $slot, Values $values): void {}

    /**
     * What it becomes, from the same solution and slots that all others see.
     *
     * @param Slot $slot
     * @return Slot
     */
    public function react(array $slot, Surroundings $now): array
    {
        return $slot;
    }

    /**
     * Tick at which it wants to be asked again although nothing else happens.
     *
     * @param Slot $slot
     */
    public function next(array $slot, Surroundings $now): int
    {
        return self::NEVER;
    }

    /**
     * What a person in front of it could see or hear of it, as a class of percept; '' for nothing.
     *
     * @param Slot $slot
     */
    public function shows(array $slot): string
    {
        return '';
    }
}
