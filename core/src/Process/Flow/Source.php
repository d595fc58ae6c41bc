<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;

/** Where gas, oil or water comes from: the street, a tank, the mains, at a pressure. Fuel says what comes. */
final class Source extends Run
{
    public const DOES = 'supplies fuel water';

    public static function figures(array $spec): array
    {
        return [new Figure('pressure', Figure::OF_PRESSURE, varies: true), ...parent::figures($spec)];
    }

    public function initial(): array
    {
        return ['fuel' => $this->p['fuel'] ?? ''] + parent::initial();
    }

    protected function offer(array $slot, Surroundings $now): array
    {
        return [$this->k($now), 0.0, null, false, (float) $this->p['pressure']];
    }
}
