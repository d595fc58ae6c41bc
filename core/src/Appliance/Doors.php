<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * The doors of an appliance: what lies behind those that are shut, and the switches that they hold in.
 *
 * Which stand open is a list of their ids, or {@see ALL}.
 */
final readonly class Doors
{
    /** Every door there is, of one who does not know them. */
    public const ALL = ['*'];

    /** @var array<string, list<Door>> by part that lies behind them */
    private array $before;

    /** @param list<Door> $doors */
    public function __construct(public array $doors)
    {
        $before = [];
        foreach ($doors as $door) {
            foreach ($door->covers as $part) {
                $before[$part][] = $door;
            }
        }
        $this->before = $before;
    }

    public function get(string $id): ?Door
    {
        foreach ($this->doors as $door) {
            if ($door->id === $id) {
                return $door;
            }
        }

        return null;
    }

    /** @return list<string> parts that lie behind one */
    public function covered(): array
    {
        return array_map(strval(...), array_keys($this->before));
    }

    /** Whether a lever is held by a door: "part.name". */
    public function isInterlock(string $lever): bool
    {
        return in_array($lever, array_column($this->doors, 'interlock'), true);
    }

    /**
     * Those that stand open once one of them, or all, have been moved.
     *
     * @param list<string> $open
     * @param string|null $id null: all of them
     * @return list<string>
     */
    public function moved(array $open, ?string $id, bool $toOpen): array
    {
        return self::ids(array_filter(
            $this->doors,
            fn (Door $d): bool => $id === null || $d->id === $id ? $toOpen : self::isOpen($open, $d),
        ));
    }

    /**
     * Those of a list that there are, each by its id.
     *
     * @param list<string> $open
     * @return list<string>
     */
    public function named(array $open): array
    {
        return self::ids(array_filter($this->doors, fn (Door $d): bool => self::isOpen($open, $d)));
    }

    /** @param list<string> $open */
    public static function isOpen(array $open, Door $door): bool
    {
        return $open === self::ALL || in_array($door->id, $open, true);
    }

    /**
     * @param list<string> $open
     * @return list<Door>
     */
    public function shut(array $open): array
    {
        return array_values(array_filter($this->doors, fn (Door $d): bool => ! self::isOpen($open, $d)));
    }

    /**
     * The shut door that a part lies behind; null when it lies open.
     *
     * @param list<string> $open
     */
    public function before(array $open, string $part): ?Door
    {
        foreach ($this->before[$part] ?? [] as $door) {
            if (! self::isOpen($open, $door)) {
                return $door;
            }
        }

        return null;
    }

    /**
     * The same of a lever, which may stick out of the door that covers its part.
     *
     * @param list<string> $open
     */
    public function beforeLever(array $open, string $part, string $lever): ?Door
    {
        foreach ($this->before[$part] ?? [] as $door) {
            if (! self::isOpen($open, $door) && ! in_array("$part.$lever", $door->through, true)) {
                return $door;
            }
        }

        return null;
    }

    /**
     * Levers of their switches, each pressed by its door or by a hand.
     *
     * @param list<string> $open
     * @param list<string> $held doors whose switches a hand holds in
     * @return array<string, array{at: 'pressed'|'out'}>
     */
    public function switches(array $open, array $held): array
    {
        $at = [];
        foreach ($this->doors as $door) {
            if ($door->interlock !== null) {
                $isIn = ! self::isOpen($open, $door) || self::isOpen($held, $door);
                $at[$door->interlock] = ['at' => $isIn ? 'pressed' : 'out'];
            }
        }

        return $at;
    }

    /**
     * Open doors whose switches can be held in by hand.
     *
     * @param list<string> $open
     * @return list<string>
     */
    public function holdable(array $open): array
    {
        return self::ids(array_filter(
            $this->doors,
            fn (Door $d): bool => $d->interlock !== null && self::isOpen($open, $d),
        ));
    }

    /** How one of them is called in a sentence: "the door", or by its name where there are several. */
    public function called(Door $door): string
    {
        return count($this->doors) === 1 ? Words::say('appliance.doors.the_door') : "\"$door->label\"";
    }

    /**
     * @param array<int, Door> $doors
     * @return list<string>
     */
    private static function ids(array $doors): array
    {
        return array_values(array_map(fn (Door $d): string => $d->id, $doors));
    }
}
