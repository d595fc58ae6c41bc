<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Units;

/**
 * A chimney or vent: what is warm in it rises. Draught = 7.64·H·(1/T₀ − 1/Tₘ) in. w.c. for H ft and absolute °F at
 * sea level (ASHRAE handbook, chimneys: 0.2554·B·H·(1/T₀ − 1/Tₘ) with B = 29.92 in. of mercury; from memory); in metric
 * models 13.9·H·(1/T₀ − 1/Tₘ) in. w.c. for H m and kelvin. Temperatures are taken in steps, since the draught they make
 * changes the flow by its root only. Slot: sampled too.
 */
final class Stack extends Run
{
    public const DOES = 'draught chimney vent';

    private const IN_WC_PER_FT = 7.64;

    private const IN_WC_PER_M = 13.9;

    public static function figures(array $spec): array
    {
        return [
            new Figure('height', '', 0.0, 300.0),
            new Figure('outdoors', Figure::DEGREES, -60.0, 120.0),
            ...parent::figures($spec),
        ];
    }

    /** Share of the difference from outdoors by which what is in it changes before it is looked at again. */
    private const SHARE = 0.5;

    private const LEAST = 20.0;

    public function initial(): array
    {
        return ['sampled' => null] + parent::initial();
    }

    protected function asks(): array
    {
        return [$this->p['warmed_by'] => ['course']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $warm = $now->value($this->p['warmed_by']);
        $kept = $slot['sampled'];
        if ($kept === null || abs($warm - $kept[0]) >= $kept[1] - 1e-6) {
            $slot['sampled'] = $this->step($warm);
        }

        return parent::react($slot, $now);
    }

    /**
     * The step that a temperature lies on, and how far it goes from there to the next; always the same ones, so that
     * what follows from them is worked out once.
     *
     * @return array{float, float}
     */
    private function step(float $warm): array
    {
        $above = $warm - (float) $this->p['outdoors'];
        $steps = round(log(1 + abs($above) / self::LEAST) / log(1 + self::SHARE));
        $at = self::LEAST * ((1 + self::SHARE) ** $steps - 1) * ($above < 0 ? -1 : 1);

        return [round((float) $this->p['outdoors'] + $at, 2), max(self::LEAST, round(self::SHARE * abs($at), 1))];
    }

    public function next(array $slot, Surroundings $now): int
    {
        if ($this->network === null || $slot['sampled'] === null) {
            return self::NEVER;
        }
        [$at, $step] = $slot['sampled'];

        return $now->crossing($this->p['warmed_by'], [$at - $step, $at + $step]);
    }

    /** height: ft or m; warmed_by: temperature of what rises; outdoors: degrees; metric */
    protected function offer(array $slot, Surroundings $now): array
    {
        $metric = $this->p['metric'] ?? false;
        [$outdoors, $warm] = [(float) $this->p['outdoors'], (float) ($slot['sampled'][0] ?? $this->p['outdoors'])];
        $zero = $metric ? Units::KELVIN : Units::RANKINE;
        $adds =
            ($metric ? self::IN_WC_PER_M : self::IN_WC_PER_FT) *
            $this->p['height'] *
            (1 / ($zero + $outdoors) - 1 / ($zero + max($warm, $outdoors - 40)));

        return [$this->k($now), round($adds, 5), null, false, 0.0];
    }
}
