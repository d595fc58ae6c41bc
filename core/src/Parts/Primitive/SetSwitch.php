<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Ability\CallsForHeat;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * A switch that a person sets to a temperature: a mechanical thermostat, a cylinder thermostat, an aquastat
 * with a dial. Slot: made.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class SetSwitch extends Primitive implements CallsForHeat
{
    private const SLACK = 1e-6;

    /**
     * @param Figures $p of: process id, set: lever, differential: degrees between making and breaking,
     *     shift: how far it reads wrong, on: fall (heating) | rise
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [new Figure('differential', Figure::DEGREES), new Figure('shift', Figure::DEGREES)];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        return new Reason(
            Words::say('parts.set_switch.is_set_to_and_feels', [
                'follow' => $now->follow($spec['set'], 'at'),
                'value' => round($now->value($spec['of']), 1),
            ]),
        );
    }

    public static function callKey(): string
    {
        return 'made';
    }

    public static function isDisplay(): bool
    {
        return false;
    }

    public function initial(): array
    {
        return ['made' => false];
    }

    public function follows(): array
    {
        return [$this->p['of'], $this->p['set']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $x = $now->value($this->p['of']);
        [$makes, $breaks] = $this->levels($now);
        $onFall = ($this->p['on'] ?? 'fall') === 'fall';
        $slack = self::SLACK * (abs($x) + 1);
        if ($slot['made']) {
            return ['made' => $onFall ? $x < $breaks - $slack : $x > $breaks + $slack];
        }

        return ['made' => $onFall ? $x <= $makes + $slack : $x >= $makes - $slack];
    }

    public function next(array $slot, Surroundings $now): int
    {
        [$makes, $breaks] = $this->levels($now);

        return $now->crossing($this->p['of'], [$slot['made'] ? $breaks : $makes]);
    }

    /** @return array{float, float} the temperatures at which it makes and breaks */
    private function levels(Surroundings $now): array
    {
        $set = (float) $now->follow($this->p['set'], 'at') - ($this->p['shift'] ?? 0.0);
        $half = $this->p['differential'] / 2;

        return ($this->p['on'] ?? 'fall') === 'fall' ? [$set - $half, $set + $half] : [$set + $half, $set - $half];
    }
}
