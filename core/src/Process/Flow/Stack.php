<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Units;

/**
 * A chimney or vent: what is warm in it rises. Draught = 7.64·H·(1/T₀ − 1/Tₘ) in. w.c. for H ft and absolute °F at
 * sea level (ASHRAE handbook, chimneys: 0.2554·B·H·(1/T₀ − 1/Tₘ) with B = 29.92 in. of mercury; from memory); in metric
 * models 13.9·H·(1/T₀ − 1/Tₘ) in. w.c. for H m and kelvin. On its way to where it comes to rest a temperature is taken
 * in a few strides, each as it is on the average, and then as it rests: the draught that it makes changes the flow by
 * its root only. Slot: sampled too, as [degrees, where it was going, where the stride ends or null, its sign].
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

    /** Of what lies before it, what is taken in one stride. */
    private const STRIDE = 0.7;

    /** So near to where it rests, of what that differs from outdoors, it counts as being there. */
    private const THERE = 0.1;

    /** Where it goes has changed when that differs by this much, of what it differs from outdoors. */
    private const TURNS = 0.2;

    /** Degrees that make no difference. */
    private const LEAST = 20.0;

    /** Temperatures are taken on a ladder with rungs this far apart, so that what follows is worked out once. */
    private const RUNG = 0.1;

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
        $here = $now->value($this->p['warmed_by']);
        $rest = $now->course($this->p['warmed_by'])[1];
        if ($slot['sampled'] === null || $this->isPast($slot['sampled'], $here, $rest)) {
            $slot['sampled'] = $this->stride($here, $rest);
        }

        return parent::react($slot, $now);
    }

    /** @param array{float, float, float|null, int} $kept */
    private function isPast(array $kept, float $here, float $rest): bool
    {
        [, $going, $end, $sign] = $kept;
        if (abs($rest - $going) >= max(self::LEAST, self::TURNS * abs($going - (float) $this->p['outdoors']))) {
            return true;
        }

        return $end !== null && ($sign * ($here - $end) >= -1e-6 || $sign * ($rest - $end) <= 0.0);
    }

    /**
     * What it is taken at from here on, and until where.
     *
     * @return array{float, float, float|null, int} degrees, where it goes, end, 1 on its way up and −1 on its way down
     */
    private function stride(float $here, float $rest): array
    {
        $left = $rest - $here;
        if (abs($left) <= max(self::LEAST, self::THERE * abs($rest - (float) $this->p['outdoors']))) {
            return [$this->rung($rest), $rest, null, 0];
        }
        $sign = $left < 0 ? -1 : 1;

        return [$this->rung($here + 0.5 * self::STRIDE * $left), $rest, round($here + self::STRIDE * $left, 2), $sign];
    }

    private function rung(float $warm): float
    {
        $above = $warm - (float) $this->p['outdoors'];
        $rungs = round(log(1 + abs($above) / self::LEAST) / log(1 + self::RUNG));
        $at = self::LEAST * ((1 + self::RUNG) ** $rungs - 1) * ($above < 0 ? -1 : 1);

        return round((float) $this->p['outdoors'] + $at, 2);
    }

    public function next(array $slot, Surroundings $now): int
    {
        $end = $this->network === null ? null : $slot['sampled'][2] ?? null;

        return $end === null ? self::NEVER : $now->crossing($this->p['warmed_by'], [$end]);
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
