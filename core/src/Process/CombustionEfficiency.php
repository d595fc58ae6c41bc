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
 * What an exchanger leaves of the heat that is burnt, as an analyser works it out from the gas and how warm it leaves:
 * {@see Fuel::efficiency}. Nothing while nothing burns. Slot: course, aim; %.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class CombustionEfficiency extends Primitive implements Analyses, NeedsPipes
{
    public const AT_ONCE = true;

    public const DOES = 'combustion efficiency';

    /** Degrees by which the stack moves before it is worked out anew, of °F. */
    private const STEP = 12.0;

    /**
     * @param Figures $p gas: flue gas that leaves it; stack: how warm that is; around: degrees of the air that is
     *     burnt; metric; tau_s
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function measures(array $spec): string
    {
        return 'efficiency';
    }

    public static function figures(array $spec): array
    {
        return [new Figure('around', Figure::DEGREES, -60.0, 120.0), new Figure('tau_s', 's')];
    }

    public function initial(): array
    {
        return ['course' => Response::still(0, 0.0), 'aim' => null, 'taken' => null];
    }

    public function follows(): array
    {
        return [$this->p['gas'], $this->p['stack']];
    }

    public function reads(): array
    {
        return [$this->p['gas'] => ['air', 'fuel'], $this->p['stack'] => ['course']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $air = (float) ($now->follow($this->p['gas'], 'air') ?? 99.0);
        $burns = $air < 99.0;
        $rest = $now->course($this->p['stack'])[1];
        if ($burns && ($slot['taken'] === null || abs($rest - $slot['taken']) >= $this->step())) {
            $slot['taken'] = $rest; // where the stack comes to rest: an analyser is read when it has
        }
        $aim = $burns ? $this->efficiency($air, (string) $now->follow($this->p['gas'], 'fuel'), $slot['taken']) : 0.0;
        if ($aim === $slot['aim']) {
            return $slot;
        }
        $here = Response::at($slot['course'], $now->tick);
        $slot['course'] = Response::towards($now->tick, $here, $aim, (float) ($this->p['tau_s'] ?? 15.0));
        $slot['aim'] = $aim;

        return $slot;
    }

    private function step(): float
    {
        return $this->p['metric'] ?? false ? self::STEP / 1.8 : self::STEP;
    }

    private function efficiency(float $air, string $fuel, float $stack): float
    {
        $toF = fn (float $t): float => $this->p['metric'] ?? false ? $t * 1.8 + 32 : $t;
        $of = Fuel::tryFrom($fuel) ?? Fuel::NaturalGas;

        return round(100 * $of->efficiency($air, $toF($stack), $toF((float) $this->p['around'])), 1);
    }
}
