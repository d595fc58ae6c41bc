<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Surroundings;

/**
 * A fan, a pump, an inducer: adds pressure with the square of its speed (fan laws), and less as more flows, from its
 * head at no flow to drop below it at its usual flow.
 */
final class Mover extends Run
{
    public const DOES = 'moves air water fan pump';

    public static function figures(array $spec): array
    {
        return [
            new Figure('head', Figure::OF_PRESSURE, varies: true),
            new Figure('worn', '', 0.0, 1.0),
            ...parent::figures($spec),
        ];
    }

    protected function asks(): array
    {
        return [$this->p['motor'] => ['target']];
    }

    /** motor: what turns it; head: pressure at no flow and full speed; worn: share of it that is left; one_way */
    protected function offer(array $slot, Surroundings $now): array
    {
        $speed = (float) $now->follow($this->p['motor'], 'target');
        $adds = $this->p['head'] * (float) ($this->p['worn'] ?? 1.0) * $speed * $speed;

        return [$this->k($now), round($adds, 6), null, $this->p['one_way'] ?? false, 0.0];
    }
}
