<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Ability\CallsForHeat;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;

/**
 * An electronic thermostat, fed from R and C or by its own batteries: compares the room with its set point.
 * Weak batteries light its display and no longer move its contact. Slot: lit, calls (heat | cool | nothing), heat,
 * cool, fan, due.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class RoomThermostat extends Primitive implements CallsForHeat
{
    public const READS_CIRCUIT = true;

    private const SPAN_F = 0.5;

    /** Its electronics live on for a moment without volts, and take a moment to come up. */
    private const HOLDS_UP = 1500;

    private const BOOTS = 2000;

    /**
     * @param Figures $p needs_v between a and b, dc: these are of batteries, makes_v: from here on its
     *     contact
     *     moves (as needs_v), room: process id, set: lever, mode, fan: levers if it has them, shift_f: how far it reads
     * wrong
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [Wired::load(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('needs_v', 'V'),
            new Figure('makes_v', 'V'),
            new Figure('shift_f', '°F'),
        ];
    }

    public static function callKey(): string
    {
        return 'heat';
    }

    public static function isDisplay(): bool
    {
        return true;
    }

    public function initial(): array
    {
        return ['lit' => false, 'calls' => '', 'heat' => false, 'cool' => false, 'fan' => false, 'due' => null];
    }

    public function follows(): array
    {
        return array_values(
            array_filter([$this->p['room'], $this->p['mode'] ?? null, $this->p['set'], $this->p['fan'] ?? null]),
        );
    }

    public function react(array $slot, Surroundings $now): array
    {
        [$a, $b] = [$this->f->nodes['a'], $this->f->nodes['b']];
        $volts = ($this->p['dc'] ?? false) ? $now->dcVolts($a, $b) : $now->acVolts($a, $b);
        $fed = ! ($this->p['blank'] ?? false) && $volts >= $this->p['needs_v'];
        $due = $fed === $slot['lit'] ? null : $slot['due'] ?? $now->tick + ($fed ? self::BOOTS : self::HOLDS_UP);
        $lit = $due !== null && $now->tick >= $due ? $fed : $slot['lit'];
        $due = $lit === $fed ? null : $due;
        $calls = $lit ? $this->calls($slot['calls'], $now) : '';
        // cells that are weak light a display, and move no contact
        $makes = $lit && $volts >= ($this->p['makes_v'] ?? 0.0);
        $isFanOn = isset($this->p['fan']) && $now->follow($this->p['fan'], 'at') === 'on';

        return [
            'lit' => $lit,
            'calls' => $calls,
            'heat' => $makes && $calls === 'heat',
            'cool' => $makes && $calls === 'cool',
            'fan' => $makes && ($isFanOn || $calls === 'cool'),
            'due' => $due,
        ];
    }

    public function next(array $slot, Surroundings $now): int
    {
        $set = (float) $now->follow($this->p['set'], 'at') - ($this->p['shift_f'] ?? 0.0);
        $span = $this->mode($now) === 'cool' ? -self::SPAN_F : self::SPAN_F;

        return min(
            $slot['due'] ?? self::NEVER,
            $now->crossing($this->p['room'], [$slot['calls'] === '' ? $set - $span : $set + $span]),
        );
    }

    public function shows(array $slot): string
    {
        return match (true) {
            ! $slot['lit'] => 'blank',
            $slot['calls'] === '' => 'standing by',
            default => "{$slot['calls']} on",
        };
    }

    /** What it is set to do: heat, cool, or nothing. */
    private function mode(Surroundings $now): string
    {
        return isset($this->p['mode']) ? (string) $now->follow($this->p['mode'], 'at') : 'heat';
    }

    /** What it calls for: heat | cool | '', some of its span beyond the set point before it changes. */
    private function calls(string $called, Surroundings $now): string
    {
        $room = $now->value($this->p['room']) + (float) ($this->p['shift_f'] ?? 0.0);
        $short = (float) $now->follow($this->p['set'], 'at') - $room;
        $mode = $this->mode($now);
        $wants = match ($mode) {
            'heat' => $short,
            'cool' => -$short,
            default => -INF,
        };

        return ($called === $mode ? $wants > -self::SPAN_F + 1e-6 : $wants >= self::SPAN_F - 1e-6) ? $mode : '';
    }
}
