<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;

/**
 * A run that only resists: a cock, a filter, an exchanger's side, registers, a check valve (one_way), an opening to
 * what lies outside, which stands at its pressure.
 */
final class Conduit extends Run
{
    public const DOES = 'leads lets through';

    public static function figures(array $spec): array
    {
        return [new Figure('ua', Figure::OF_HEAT_PER_DEGREE, 0.0, 1e5), ...parent::figures($spec)];
    }

    /** A valve on its way is taken as shut, half way or open: in so many steps. */
    private const STEPS = 2;

    protected function asks(): array
    {
        return array_merge_recursive(
            isset($this->p['leaks']) ? [$this->p['leaks'] => ['free']] : [],
            isset($this->p['beside']) ? [$this->p['beside'] => ['from']] : [],
            isset($this->p['opens_by']) ? [$this->p['opens_by'] => ['course']] : [],
            Condition::read($this->p['held_by'] ?? []),
        );
    }

    public function next(array $slot, Surroundings $now): int
    {
        if ($this->network === null || ! isset($this->p['opens_by'])) {
            return self::NEVER;
        }

        return $now->crossing(
            $this->p['opens_by'],
            array_map(fn (int $i): float => ($i - 0.5) / self::STEPS, range(1, self::STEPS)),
        );
    }

    /**
     * How far it stands open by what moves it: opens_by: an actuator, held_by: conditions that hold it open; stands:
     * whatever moves it, so far.
     */
    private function stands(Surroundings $now): float
    {
        foreach ($this->p['held_by'] ?? [] as $c) {
            if (Condition::holds($c, $now)) {
                return 1.0;
            }
        }
        if (isset($this->p['stands'])) { // its head is off
            return (float) $this->p['stands'];
        }
        if (! isset($this->p['opens_by'])) {
            return 1.0;
        }
        $at = floor($now->value($this->p['opens_by']) * self::STEPS + 0.5 + 1e-6) / self::STEPS;

        return ($this->p['turned'] ?? false) ? 1 - $at : $at;
    }

    /**
     * one_way: lets nothing back; at: pressure of the open, where it leads there; or a hole: leaks: the wall that it is
     * in, as far as that is not whole, beside: the run on the other side, whose pressure stands before it; the open
     * where there is none
     */
    protected function offer(array $slot, Surroundings $now): array
    {
        if (isset($this->p['leaks'])) {
            $hole = 1 - (float) ($now->follow($this->p['leaks'], 'free') ?? 1.0);
            $k = round($hole * $this->k($now), 4);

            $beside = $this->p['beside'] ?? null;

            return [$k, 0.0, null, false, $beside === null ? 0.0 : (float) $now->follow($beside, 'from')];
        }

        $k = max($this->k($now) * $this->stands($now), $this->k($now) * (float) ($this->p['passes'] ?? 0.0));

        return [$k, 0.0, null, $this->p['one_way'] ?? false, (float) ($this->p['at'] ?? 0.0)];
    }
}
