<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Primitive;

/**
 * How a control goes from one state of its table to the next: when a guard holds, what it does, and how the state is
 * that it leads to.
 *
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Guard from Table
 * @phpstan-import-type TableDocument from Table
 */
final readonly class Steps
{
    /**
     * @param TableDocument $table
     * @param array<string, float> $times s, by name
     */
    public function __construct(private array $table, private array $times) {}

    /**
     * @param Guard $guard
     * @param Slot $slot
     */
    public function holds(array $guard, array $slot, int $tick): bool
    {
        foreach ($guard['if'] ?? [] as $input => $on) {
            if ($slot['in'][$input] !== $on) {
                return false;
            }
        }
        foreach ($guard['count'] ?? [] as $counter => $atLeast) {
            if (($slot['count'][$counter] ?? 0) < $atLeast) {
                return false;
            }
        }
        foreach ($this->moments($guard, $slot) as $at) {
            if ($tick < $at) {
                return false;
            }
        }

        return true;
    }

    /**
     * Ticks that have to be reached before a guard can hold: its time in the state, and its timers.
     *
     * @param Guard $guard
     * @param Slot $slot
     * @return list<int>
     */
    public function moments(array $guard, array $slot): array
    {
        $at = [];
        if (isset($guard['after'])) {
            $at[] = (int) $slot['since'] + $this->ms($guard['after'], $slot);
        }
        foreach ($guard['timer'] ?? [] as $timer => $time) {
            $at[] = isset($slot['timer'][$timer])
                ? $slot['timer'][$timer] + $this->ms($time, $slot)
                : Primitive::NEVER;
        }

        return $at;
    }

    /** @param Slot $slot */
    private function ms(string $time, array $slot): int
    {
        return (int) round(1000 * ($slot['set'][$time] ?? $this->times[$time]));
    }

    /**
     * @param Slot $slot
     * @param array<string, string> $do counter => "+1" or "0"; timer => "start"
     * @return Slot
     */
    public function done(array $slot, array $do, int $tick): array
    {
        foreach ($do as $name => $step) {
            if ($step === 'start') {
                $slot['timer'][$name] = $tick;
            } else {
                $slot['count'][$name] = $step === '0' ? 0 : ($slot['count'][$name] ?? 0) + (int) $step;
            }
        }

        return $slot;
    }

    /**
     * @param Slot $slot in, due, count, timer, kept: what goes on through a change of state
     * @return Slot
     */
    public function enter(string $state, int $tick, array $slot): array
    {
        $row = $this->table['states'][$state] ?? ['outputs' => [], 'lamp' => 'off'];

        $kept = array_intersect_key($slot, ['level' => 1, 'set' => 1]);

        return [
            'state' => $state,
            'since' => $tick,
            'in' => $slot['in'],
            'due' => $slot['due'],
            'count' => $slot['count'],
            'timer' => $slot['timer'],
            'out' => array_fill_keys($row['outputs'], true),
            'latched' => isset($row['reset']),
            'kept' => $slot['kept'],
        ] + $kept + Lamp::turned($row['lamp'], $state !== Control::DARK, $tick, $slot);
    }
}
