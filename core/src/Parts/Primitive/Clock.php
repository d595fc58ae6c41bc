<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * One channel of a programmer: off, on, or by the hours of the day. Slot: on, hour_on.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Clock extends Primitive
{
    public const DOES = 'times of day';

    private const HOUR = 3_600_000;

    private const DAY = 24 * self::HOUR;

    /**
     * @param Figures $p lever: off | timed | on, hours: list of [from, to],
     *     begins_at_h: hour of the day at which the run begins, dead
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [new Figure('begins_at_h', 'h')];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        return new Reason(Words::say('parts.clock.is_at_this_hour', ['words' => $slot['on'] ? 'on' : 'off']));
    }

    public function initial(): array
    {
        return ['on' => false, 'hour_on' => $this->within(0)];
    }

    public function follows(): array
    {
        return [$this->p['lever']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $hour = $this->within($now->tick);
        $on = match ($now->follow($this->p['lever'], 'at')) {
            'on' => true,
            'timed' => $hour,
            default => false,
        };

        return ['on' => $on, 'hour_on' => $hour];
    }

    public function next(array $slot, Surroundings $now): int
    {
        $at = $this->ofDay($now->tick);
        $next = self::NEVER;
        foreach ($this->p['hours'] as $period) {
            foreach ($period as $edge) {
                $ahead = ((int) round($edge * self::HOUR) - $at + self::DAY) % self::DAY;
                $next = min($next, $now->tick + ($ahead === 0 ? self::DAY : $ahead));
            }
        }

        return $next;
    }

    private function within(int $tick): bool
    {
        $at = $this->ofDay($tick);
        foreach ($this->p['hours'] as [$from, $to]) {
            if ($at >= (int) round($from * self::HOUR) && $at < (int) round($to * self::HOUR)) {
                return true;
            }
        }

        return false;
    }

    private function ofDay(int $tick): int
    {
        return ($tick + (int) round($this->p['begins_at_h'] * self::HOUR)) % self::DAY;
    }
}
