<?php

declare(strict_types=1);

namespace OddSpark\Parts;

use OddSpark\Circuit\Solution;
use OddSpark\Trade\Response;

/**
 * What every primitive sees when it reacts: the moment, the slots of all, and one solution.
 *
 * @phpstan-import-type Slot from Primitive
 */
final class Surroundings
{
    /** So far before a level it counts as crossed; everything that watches one has more slack than this. */
    private const HAIR = 1e-7;

    /** @param array<string, Slot> $slots by primitive id */
    public function __construct(
        public int $tick,
        public array $slots,
        public ?Solution $solution = null,
    ) {}

    /** A value within a slot, by a path such as "board.control.out.inducer"; null when it is not there. */
    public function follow(string $id, string $key, ?string $inner = null, string ...$more): mixed
    {
        $at = $this->slots[$id][$key] ?? null;
        if ($inner === null) {
            return $at; // nearly always
        }
        $at = $at[$inner] ?? null;
        foreach ($more as $further) {
            $at = $at[$further] ?? null;
        }

        return $at;
    }

    /**
     * The course of a quantity that settles.
     *
     * @return array{int, float, list<array{float, float}>}
     */
    public function course(string $id): array
    {
        return $this->slots[$id]['course'] ?? Response::still(0, 0.0);
    }

    /** The quantity's value now. */
    public function value(string $id): float
    {
        return Response::at($this->course($id), $this->tick);
    }

    /**
     * First tick after now at which any of the levels is crossed.
     *
     * @param list<float> $levels
     */
    public function crossing(string $id, array $levels): int
    {
        $course = $this->course($id);
        $here = Response::at($course, $this->tick);
        $first = Primitive::NEVER;
        foreach ($levels as $level) {
            // what comes to rest on the level comes to it too
            $near = abs($level - $here) <= self::HAIR ? $level : $level + ($level > $here ? -self::HAIR : self::HAIR);
            $first = min($first, Response::crossing($course, $near, $this->tick) ?? Primitive::NEVER);
        }

        return $first;
    }

    public function acVolts(int $a, int $b): float
    {
        return $this->solution?->acVolts($a, $b) ?? 0.0;
    }

    public function dcVolts(int $a, int $b): float
    {
        return $this->solution?->dcVolts($a, $b) ?? 0.0;
    }
}
