<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\GoesAlong;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Trade\Response;
use OddSpark\Words\Words;

/**
 * A thermal protector within a winding: heated by the current through it, with the square of the
 * amps, it opens at a temperature; it closes again when cool, or never if it is a fuse link.
 * Slot: closed, target and course of its temperature, °F.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Protector extends Primitive implements GoesAlong
{
    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['rated_amps', 'rise_f', 'tau_s', 'opens_at_f', 'closes_at_f', 'room_f'];

    /** Hotter than this nothing gets: it has burnt by then. */
    private const HOTTEST_F = 900.0;

    private readonly float $siemens;

    /**
     * @param Figures $p ohm, rated_amps, rise_f at these, tau_s, opens_at_f,
     *     closes_at_f (none: a fuse link), room_f
     */
    public function __construct(private readonly array $p, private readonly Fittings $f)
    {
        $this->siemens = 1 / $p['ohm'];
    }

    public static function wiring(array $spec): array
    {
        return [Wired::switch(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('ohm', 'Ω'),
            new Figure('rated_amps', 'A'),
            new Figure('rise_f', '°F'),
            new Figure('tau_s', 's'),
            new Figure('opens_at_f', '°F'),
            new Figure('closes_at_f', '°F'),
            new Figure('room_f', '°F'),
        ];
    }

    public static function hasGone(array $slot): bool
    {
        return ! $slot['closed'];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        return new Reason(Words::say('parts.protector.has_opened_on_heat'));
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function electric(array $slot): string
    {
        return $slot['closed'] ? '1' : '0';
    }

    public function initial(): array
    {
        return [
            'closed' => ! ($this->p['open'] ?? false),
            'target' => $this->p['room_f'],
            'course' => Response::still(0, $this->p['room_f']),
        ];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $slot['closed'] ? $this->siemens : 0.0);
    }

    public function react(array $slot, Surroundings $now): array
    {
        $amps = $slot['closed'] ? $now->acVolts($this->f->nodes['a'], $this->f->nodes['b']) * $this->siemens : 0.0;
        $target = round(
            min(self::HOTTEST_F, $this->p['room_f'] + $this->p['rise_f'] * ($amps / $this->p['rated_amps']) ** 2),
        );
        if ($target !== $slot['target']) {
            $slot['course'] = Response::towards(
                $now->tick,
                Response::at($slot['course'], $now->tick),
                $target,
                $this->p['tau_s'],
            );
            $slot['target'] = $target;
        }
        $f = Response::at($slot['course'], $now->tick);
        if ($slot['closed'] && $f >= $this->p['opens_at_f'] - 1e-3) {
            $slot['closed'] = false;
        } elseif (
            ! $slot['closed'] &&
            isset($this->p['closes_at_f']) &&
            $f <= (float) $this->p['closes_at_f'] + 1e-3 &&
            ! ($this->p['open'] ?? false)
        ) {
            $slot['closed'] = true;
        }

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $level = $slot['closed'] ? $this->p['opens_at_f'] : $this->p['closes_at_f'] ?? null;

        return $level === null ? self::NEVER : Response::crossing($slot['course'], $level, $now->tick) ?? self::NEVER;
    }
}
