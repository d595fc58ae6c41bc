<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Fuel;
use OddSpark\Trade\Response;

/**
 * The small hand of a gas meter: seconds for a cubic foot (where the supply is European, for ten litres); 0 while it
 * stands. 3600 s/h over the flow, which is what is burnt over the heating value. Slot: course, aim.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class MeterDial extends Primitive implements NeedsPipes
{
    public const AT_ONCE = true;

    public const DOES = 'clock meter';

    /** Slower than this it is not told from standing, s. */
    private const SLOWEST = 3000.0;

    /** Natural gas, W·h in ten litres: 10.55 kWh/m³, from memory. */
    private const WH_PER_TEN_LITRES = 105.5;

    /** @param Figures $p of: the run that it measures; metric */
    public function __construct(private readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['course' => Response::still(0, 0.0), 'aim' => 0.0];
    }

    public function follows(): array
    {
        return [$this->p['of']];
    }

    public function reads(): array
    {
        return [$this->p['of'] => ['q', 'fuel']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        // the flow is told as the heat of natural gas; another fuel has as much volume less as it is heavier
        $fuel = Fuel::tryFrom((string) $now->follow($this->p['of'], 'fuel')) ?? Fuel::NaturalGas;
        $lighter = Fuel::NaturalGas->specificGravity() / $fuel->specificGravity();
        $q = (float) $now->follow($this->p['of'], 'q') * sqrt($lighter);
        $step = $this->p['metric'] ?? false ? self::WH_PER_TEN_LITRES : Fuel::NaturalGas->heatingValue();
        $aim = $q > 0 && 3600 * $step / $q < self::SLOWEST ? round(3600 * $step / $q, 2) : 0.0;

        return $aim === $slot['aim'] ? $slot : ['course' => Response::still($now->tick, $aim), 'aim' => $aim];
    }
}
