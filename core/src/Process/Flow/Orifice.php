<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Fuel;

/**
 * Where fuel leaves its pipe to burn: rated for an input at a manifold pressure with one fuel. The flow goes with the
 * root of the pressure over the fuel's specific gravity (Bernoulli). Slot: heat too, in the unit of the input, and
 * share: of what it is rated for.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Orifice extends Run
{
    public const DOES = 'burns orifice nozzle input';

    /**
     * @param Figures $p input: Btu/h or W; at: the pressure for which it is made; fuel: natural-gas | propane | oil;
     *     supply: what its network is fed from
     */
    public function __construct(array $p, Fittings $f)
    {
        parent::__construct(['flow' => $p['input'], 'drop' => $p['at']] + $p, $f);
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('input', Figure::OF_FLOW, 100.0, 1e7, varies: true),
            new Figure('at', Figure::OF_PRESSURE, 0.01, 1e3),
            ...parent::figures($spec),
        ];
    }

    public function initial(): array
    {
        return ['heat' => 0.0, 'share' => 0.0, 'comes' => null] + parent::initial();
    }

    protected function asks(): array
    {
        return isset($this->p['supply']) ? [$this->p['supply'] => ['fuel']] : [];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $slot = parent::react($slot, $now);
        $made = Fuel::from($this->p['fuel'] ?? 'natural-gas');
        $comes = Fuel::tryFrom((string) $now->follow($this->p['supply'] ?? '', 'fuel')) ?? $made;
        $slot['comes'] = $comes->value;
        $slot['share'] = $this->p['input'] > 0 ? round($slot['q'] / $this->p['input'], 4) : 0.0;
        $slot['heat'] = round($slot['q'] * $comes->throughOrifice() / $made->throughOrifice(), 1);

        return $slot;
    }

    protected function offer(array $slot, Surroundings $now): array
    {
        return [$this->k($now), 0.0, null, true, 0.0];
    }
}
