<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * Gas at the burners and whether it burns. Slot: gas, lit, due, since.
 *
 * Lights a moment after gas meets a surface hot enough; goes out when the gas does.
 */
final class Burner extends Primitive
{
    private const SMELT_AFTER = 1500;

    /** @param array<string, mixed> $p ways: from the meter to the ports, igniter: heater id, lights_at_f, lights_in_s, least: share of gas that burns */
    public function __construct(private readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['gas' => false, 'lit' => false, 'due' => null, 'since' => 0, 'smelt' => false];
    }

    public function follows(): array
    {
        return [...$this->p['ways'], $this->p['igniter']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $free = 1.0;
        foreach ($this->p['ways'] as $way) {
            $free *= $now->follow($way, 'free') ?? 1.0;
        }
        $gas = $free >= $this->p['least'];
        if (! $gas) {
            return $this->initial();
        }
        if (! $slot['gas']) {
            $slot = ['gas' => true, 'since' => $now->tick] + $slot;
        }
        if ($slot['lit']) {
            return $slot;
        }
        if ($now->value($this->p['igniter']) >= $this->p['lights_at_f'] - 1e-3) {
            $slot['due'] ??= $now->tick + (int) (1000 * $this->p['lights_in_s']);
            if ($now->tick >= $slot['due']) {
                return ['lit' => true, 'due' => null, 'smelt' => false] + $slot;
            }
        } else {
            $slot['due'] = null;
        }
        $slot['smelt'] = $now->tick - $slot['since'] >= self::SMELT_AFTER;

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        if (! $slot['gas'] || $slot['lit']) {
            return self::NEVER;
        }
        $smelt = $slot['smelt'] ? self::NEVER : $slot['since'] + self::SMELT_AFTER;

        return min($slot['due'] ?? self::NEVER, $smelt);
    }

    public function shows(array $slot): string
    {
        return $slot['lit'] ? 'lit' : ($slot['smelt'] ? 'gas' : '');
    }
}
