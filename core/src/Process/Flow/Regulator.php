<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;

/**
 * Holds the pressure at its outlet, as far as its inlet has it: one pressure, or between two as something moves it, a
 * second coil or a modulating one.
 */
final class Regulator extends Run
{
    public const DOES = 'regulates pressure';

    public static function figures(array $spec): array
    {
        return [new Figure('set', Figure::OF_PRESSURE, 0.0, varies: true), ...parent::figures($spec)];
    }

    protected function asks(): array
    {
        $stage = $this->p['stage'] ?? null;

        return $stage === null ? [] : [$stage['by'] => [explode('.', $stage['key'])[0]]];
    }

    /**
     * set: pressure at the outlet; stage: {by, key, full}: the pressure goes up to full with the share, 0 to 1 or
     * false and true, that stands there; wide_open: it does not regulate
     */
    protected function offer(array $slot, Surroundings $now): array
    {
        $set = (float) $this->p['set'];
        $stage = $this->p['stage'] ?? null;
        if ($stage !== null) {
            $share = (float) $now->follow($stage['by'], ...explode('.', $stage['key']));
            $set += $share * ($stage['full'] - $set);
        }

        return [$this->k($now), 0.0, ($this->p['wide_open'] ?? false) ? null : round($set, 4), true, 0.0];
    }
}
