<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;

/** Holds the pressure at its outlet, as far as its inlet has it. */
final class Regulator extends Run
{
    public const DOES = 'regulates pressure';

    public static function figures(array $spec): array
    {
        return [new Figure('set', Figure::OF_PRESSURE, 0.0), ...parent::figures($spec)];
    }

    /** set: pressure at the outlet; wide_open: it does not regulate */
    protected function offer(array $slot, Surroundings $now): array
    {
        return [$this->k($now), 0.0, ($this->p['wide_open'] ?? false) ? null : (float) $this->p['set'], true, 0.0];
    }
}
