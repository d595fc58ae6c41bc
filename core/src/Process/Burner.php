<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * Gas at the burners and whether it burns. Slot: gas, lit, due, since, smelt, carried (the last burner burns too),
 * heat, raw (trials since it last burnt in which gas came and no fire).
 *
 * Lights a moment after gas, or oil from its nozzle, meets what lights it: a surface hot enough, or
 * anything else that the model says, a spark, a pilot, a match. Goes out when the fuel does.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Slot from Primitive
 */
final class Burner extends Primitive implements Burns, NeedsPipes
{
    public const IN_KINDS = true;

    public const DOES = 'burns flame';

    public const GIVEN = [
        'orifice' => 'id?',
        'air' => 'id?',
        'ways' => 'ids?',
        'igniter' => 'id?',
        'lights_at_f' => 'number?',
        'lit_by' => 'conditions?',
        'lights_in_s' => 'number',
        'least' => 'number',
        'carries_in_s' => 'number?',
        'carries_by' => 'ids?',
        'input_btu_h' => 'number?',
        'smelt_from' => 'number?',
    ];

    public static function figures(array $spec): array
    {
        return [new Figure('lights_in_s', 's', 0.05, 30.0), new Figure('carries_in_s', 's', 0.0, 30.0)];
    }

    /** Share of the fuel that burns at the first burner, while the flame has not run on to the others. */
    public const FIRST_ALONE = 0.3;

    private const SMELT_AFTER = 1500;

    /** Share of its fuel that burns nowhere and is smelt. */
    private const LEAK = 0.01;

    /** How long gas that was let out without a light can be smelt, ticks; common practice, no source. */
    private const LINGERS = 90_000;

    /**
     * @param Figures $p ways: from the meter to the ports, least: share of gas that burns; igniter: heater
     *     id and lights_at_f, or lit_by: list of {@see Condition}, any of which lights it; lights_in_s;
     *     carries_in_s: until the flame has run from the first burner to the last, carries_by: what it runs along;
     *     input_btu_h: what it burns; or orifice: where its fuel comes from, instead of ways; air: what tells
     *     of its air and so how it looks; smelt_from: share of its fuel from which on it is smelt where it does not
     *     burn: oil that is not sprayed only drips
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        if ($slot['lit']) {
            return new Reason('burns.');
        }
        $shut = array_values(
            array_filter(self::ways($spec), fn (string $way) => ($now->follow($way, 'free') ?? 1.0) < Way::FREE),
        );
        $fed = isset($spec['orifice']) && (float) $now->follow($spec['orifice'], 'heat') > 0.0;
        if ($shut !== [] || isset($spec['orifice']) && ! $fed) {
            return new Reason(
                Words::say('process.burner.has_no_fuel'),
                [...$shut, ...isset($spec['orifice']) ? [$spec['orifice']] : []],
            );
        }

        return new Reason(Words::say('process.burner.has_fuel_and_nothing_lights'), [
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
            'clears' => null,
            'heat' => 0.0,
            'looks' => '',
        ];
    }

    /**
     * @param Figures $spec
     * @return list<string>
     */
    private static function ways(array $spec): array
    {
        return $spec['ways'] ?? [];
    }

    public function follows(): array
    {
        return [
            ...self::ways($this->p),
            ...isset($this->p['orifice']) ? [$this->p['orifice']] : [],
            ...isset($this->p['air']) ? [$this->p['air']] : [],
            ...$this->p['carries_by'] ?? [],
            ...isset($this->p['igniter']) ? [$this->p['igniter']] : [],
            ...Condition::followed($this->p['lit_by'] ?? []),
        ];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $slot = $this->burns($slot, $now);
        $heat = $slot['lit'] && isset($this->p['orifice']) ? (float) $now->follow($this->p['orifice'], 'heat') : 0.0;
        $looks = isset($this->p['air']) ? (string) $now->follow($this->p['air'], 'looks') : '';
        $slot['looks'] = $slot['lit'] ? $looks : '';
        $slot['heat'] = round($heat * ($slot['carried'] || $slot['due'] !== null ? 1.0 : self::FIRST_ALONE), 1);

        return $slot;
    }

    /**
     * @param Slot $slot
     * @return Slot
     */
    private function burns(array $slot, Surroundings $now): array
    {
        if ($this->fuel($now) < $this->p['least']) {
            return $this->without($slot, $now);
        }
        if (! $slot['gas']) {
            $slot = ['gas' => true, 'since' => $now->tick, 'clears' => null] + $slot;
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
        $slot['smelt'] = $slot['smelt'] || $now->tick - $slot['since'] >= self::SMELT_AFTER;

        return $slot;
    }

    /** Share of its fuel that comes. */
    private function fuel(Surroundings $now): float
    {
        $free = isset($this->p['orifice'])
            ? (float) $now->follow($this->p['orifice'], 'share')
            : 1.0;
        foreach (self::ways($this->p) as $way) {
            $free *= $now->follow($way, 'free') ?? 1.0;
        }

        return $free;
    }

    /**
     * Its fuel is shut off: what was let out without a light hangs about, and thins out.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function without(array $slot, Surroundings $now): array
    {
        $raw = (int) $slot['raw'] + ($slot['gas'] && $slot['smelt'] ? 1 : 0);
        $clears = $slot['gas'] && $slot['smelt'] ? $now->tick + self::LINGERS : $slot['clears'] ?? null;
        $leaks = isset($this->p['orifice']) && $this->fuel($now) > (float) ($this->p['smelt_from'] ?? self::LEAK);
        $lingers = $leaks || $clears !== null && $now->tick < $clears;

        $until = $lingers && ! $leaks ? $clears : null;

        return ['raw' => $raw, 'smelt' => $lingers, 'clears' => $until] + $this->initial();
    }

    public function next(array $slot, Surroundings $now): int
    {
        if (! $slot['gas'] || $slot['lit']) {
            return min($slot['due'] ?? self::NEVER, $slot['clears'] ?? self::NEVER);
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
        $lit = ($slot['looks'] ?? '') ?: 'lit';

        return $slot['lit'] ? $lit : ($slot['smelt'] ? 'gas' : '');
    }
}
