<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;

/**
 * Gas at the burners and whether it burns. Slot: gas, lit, due, since, smelt, carried (the last burner burns too),
 * raw (trials since it last burnt in which gas came and no fire).
 *
 * Lights a moment after gas, or oil from its nozzle, meets what lights it: a surface hot enough, or
 * anything else that the model says, a spark, a pilot, a match. Goes out when the fuel does.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Burner extends Primitive implements Burns
{
    public const GIVEN = [
        'ways' => 'ids',
        'igniter' => 'id?',
        'lights_at_f' => 'number?',
        'lit_by' => 'conditions?',
        'lights_in_s' => 'number',
        'least' => 'number',
        'carries_in_s' => 'number?',
        'carries_by' => 'ids?',
        'input_btu_h' => 'number?',
    ];

    private const SMELT_AFTER = 1500;

    /**
     * @param Figures $p ways: from the meter to the ports, least: share of gas that burns; igniter: heater
     *     id
     *     and lights_at_f, or lit_by: list of {@see Condition}, any of which lights it; lights_in_s;
     *     carries_in_s: until the flame has run from the first burner to the last, carries_by: what it runs along;
     *     input_btu_h: what it burns
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        if ($slot['lit']) {
            return new Reason('burns.');
        }
        $shut = array_values(
            array_filter($spec['ways'], fn (string $way) => ($now->follow($way, 'free') ?? 1.0) < Way::FREE),
        );
        if ($shut !== []) {
            return new Reason('has no fuel.', $shut);
        }

        return new Reason('has fuel, and nothing lights it.', [
            ...isset($spec['igniter']) ? [$spec['igniter']] : [],
            ...array_column($spec['lit_by'] ?? [], 'by'),
        ]);
    }

    public function initial(): array
    {
        return [
            'gas' => false,
            'lit' => false,
            'due' => null,
            'since' => 0,
            'smelt' => false,
            'carried' => false,
            'raw' => 0,
        ];
    }

    public function follows(): array
    {
        return [
            ...$this->p['ways'],
            ...$this->p['carries_by'] ?? [],
            ...isset($this->p['igniter']) ? [$this->p['igniter']] : [],
            ...Condition::followed($this->p['lit_by'] ?? []),
        ];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $free = 1.0;
        foreach ($this->p['ways'] as $way) {
            $free *= $now->follow($way, 'free') ?? 1.0;
        }
        $gas = $free >= $this->p['least'];
        if (! $gas) {
            return ['raw' => (int) $slot['raw'] + ($slot['smelt'] ? 1 : 0)] + $this->initial();
        }
        if (! $slot['gas']) {
            $slot = ['gas' => true, 'since' => $now->tick] + $slot;
        }
        if ($slot['lit']) {
            return $slot['carried'] || $slot['due'] === null || $now->tick < $slot['due']
                ? $slot
                : ['carried' => $this->carries($now), 'due' => null] + $slot;
        }
        if ($this->meetsFire($now)) {
            $slot['due'] ??= $now->tick + (int) (1000 * $this->p['lights_in_s']);
            if ($now->tick >= $slot['due']) {
                $carries = (int) round(1000 * ($this->p['carries_in_s'] ?? 0));

                return [
                    'lit' => true,
                    'raw' => 0,
                    'due' => $carries > 0 ? $now->tick + $carries : null,
                    'smelt' => false,
                    'carried' => $carries === 0,
                ] + $slot;
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
            return $slot['due'] ?? self::NEVER;
        }
        $smelt = $slot['smelt'] ? self::NEVER : (int) $slot['since'] + self::SMELT_AFTER;

        return min($slot['due'] ?? self::NEVER, $smelt);
    }

    private function carries(Surroundings $now): bool
    {
        foreach ($this->p['carries_by'] ?? [] as $way) {
            if (($now->follow($way, 'free') ?? 1.0) < 0.5) {
                return false;
            }
        }

        return true;
    }

    private function meetsFire(Surroundings $now): bool
    {
        if (isset($this->p['igniter']) && $now->value($this->p['igniter']) >= $this->p['lights_at_f'] - 1e-3) {
            return true;
        }
        foreach ($this->p['lit_by'] ?? [] as $c) {
            if (Condition::holds($c, $now)) {
                return true;
            }
        }

        return false;
    }

    public function shows(array $slot): string
    {
        return $slot['lit'] ? 'lit' : ($slot['smelt'] ? 'gas' : '');
    }
}
