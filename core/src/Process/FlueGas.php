<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\Analyses;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Fuel;
use OddSpark\Trade\Response;

/**
 * What a burner leaves, by mole balance of what it burns with the air that comes to it ({@see Fuel}). Slot: course (one
 * of them, as it settles), oxygen, co2, co (parts per million), air (λ), aim; spills, and how the flame
 * turns and looks.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class FlueGas extends Primitive implements Analyses, NeedsPipes
{
    public const AT_ONCE = true;

    public const DOES = 'combustion oxygen carbon';

    /** A flame is looked at for a moment before it is said to look otherwise, ticks. */
    private const LOOKED_AT = 6000;

    /**
     * @param Figures $p orifice: what gives the fuel; fire: its burner; air: the run that its air comes through;
     *     smallest: air that comes whatever is shut; measures: oxygen | co2 | co | smoke; metric; tau_s
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function measures(array $spec): string
    {
        return $spec['measures'] ?? 'oxygen';
    }

    public static function figures(array $spec): array
    {
        return [new Figure('tau_s', 's')];
    }

    public function initial(): array
    {
        $none = Fuel::NaturalGas->flueGas(INF);

        return [
            'course' => Response::still(0, $this->measured($none, INF)),
            'aim' => null,
            'air' => 99.0,
            'fuel' => Fuel::NaturalGas->value,
            'spills' => false,
            'turns' => '',
            'looks' => '',
            'turned' => 0,
        ] + $none;
    }

    public function follows(): array
    {
        return [$this->p['orifice'], $this->p['fire'], $this->p['air']];
    }

    public function reads(): array
    {
        return [
            $this->p['orifice'] => ['heat', 'comes'],
            $this->p['fire'] => ['lit'],
            $this->p['air'] => ['q'],
        ];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $lit = $now->follow($this->p['fire'], 'lit') === true;
        $isAir = $slot['air'] === 99.0 && $slot['turns'] === '' && $slot['looks'] === '';
        if (! $lit && $isAir && $slot['aim'] !== null) {
            return $slot; // air is air, whatever flows
        }
        $flows = (float) $now->follow($this->p['air'], 'q');
        $heat = (float) $now->follow($this->p['orifice'], 'heat');
        $fuel = Fuel::tryFrom((string) $now->follow($this->p['orifice'], 'comes')) ?? Fuel::NaturalGas;
        $needs = $heat * ($this->p['metric'] ?? false ? $fuel->airMetric() : $fuel->air());
        $air = $lit && $needs > 0 ? max($flows, ($this->p['smallest'] ?? 0.0) * $needs) / $needs : INF;
        $gas = array_map(fn (float $x): float => round($x, 2), $fuel->flueGas($air));
        $aim = $this->measured($gas, $air);
        $looks = match (true) {
            $lit && $flows < 0 => 'spills',
            $air < 1.0 => 'soots',
            $air < 1.15 => 'lazy',
            default => '',
        };
        if ($looks !== $slot['turns']) {
            $slot['turned'] = $now->tick;
        }
        $slot = [
            'air' => is_infinite($air) ? 99.0 : round($air, 3),
            'fuel' => $fuel->value,
            'spills' => $looks === 'spills',
            'turns' => $looks,
            'looks' => $looks === '' || $now->tick - (int) $slot['turned'] >= self::LOOKED_AT ? $looks : $slot['looks'],
        ] + $gas + $slot;
        if ($aim === $slot['aim']) {
            return $slot;
        }

        return [
            'course' => Response::towards(
                $now->tick,
                Response::at($slot['course'], $now->tick),
                $aim,
                (float) ($this->p['tau_s'] ?? 15.0),
            ),
            'aim' => $aim,
        ] + $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        return $slot['looks'] === $slot['turns'] ? self::NEVER : (int) $slot['turned'] + self::LOOKED_AT;
    }

    /** @param array{oxygen: float, co2: float, co: float} $gas */
    private function measured(array $gas, float $air): float
    {
        return match ($this->p['measures'] ?? 'oxygen') {
            'smoke' => round(Combustion::smoke($air), 2),
            default => $gas[$this->p['measures'] ?? 'oxygen'],
        };
    }

    public function shows(array $slot): string
    {
        return $slot['looks'];
    }
}
