<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\GivesFuel;
use OddSpark\Parts\Ability\MovesSpindle;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Trade\Response;
use OddSpark\Words\Words;

/**
 * A motor that opens a valve or damper against a spring: fed, it opens in its time and stays, drawing the
 * same; not fed, the spring shuts it. Slot: course of its position (0 shut, 1 open), target.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Actuator extends Primitive implements GivesFuel, MovesSpindle
{
    public const DOES = 'drives opens slowly';

    public const LIVE = true;

    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['run_v', 'travel_s', 'seized', 'headless', 'start'];

    /** A course comes within a twentieth of its end in three time constants: that is taken for the travel. */
    private const CONSTANTS = 3.0;

    /** Where the spindle holds it. */
    private readonly ?float $seized;

    /**
     * @param Figures $p between; ohm,
     *     reactance_ohm; run_v; travel_s; open: winding open; seized: at 0..1; headless: off
     *     its body, so that nothing holds it; start: 0..1
     */
    public function __construct(private readonly array $p, private readonly Fittings $f)
    {
        $isHeld = isset($p['seized']) && ! ($p['headless'] ?? false);
        $this->seized = $isHeld ? (float) $p['seized'] : null;
    }

    public static function wiring(array $spec): array
    {
        return [Wired::load(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('ohm', 'Ω'),
            new Figure('reactance_ohm', 'Ω'),
            new Figure('run_v', 'V'),
            new Figure('travel_s', 's'),
        ];
    }

    public static function faults(array $spec): array
    {
        return [new NaturalFault('open', Words::say('parts.actuator.motor_open'), ['open' => true], 0.8)];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        $at = (float) ($this->seized ?? $this->p['start'] ?? 0.0);

        return ['course' => Response::still(0, $at), 'target' => $at];
    }

    public function stamp(array $slot, Values $values): void
    {
        if ($this->p['open'] ?? false) {
            $values->resistor($this->f->branches[0], 0.0);
        } else {
            $values->impedance($this->f->branches[0], $this->p['ohm'], $this->p['reactance_ohm']);
        }
    }

    public function react(array $slot, Surroundings $now): array
    {
        if ($this->seized !== null) {
            $at = $this->seized;

            return $slot['target'] === $at && $slot['course'][2] === []
                ? $slot
                : ['course' => Response::still($now->tick, $at), 'target' => $at];
        }
        $fed =
            ! ($this->p['open'] ?? false) &&
            $now->acVolts($this->f->nodes['a'], $this->f->nodes['b']) >= $this->p['run_v'];
        $target = $fed ? 1.0 : 0.0;
        if ($target === $slot['target']) {
            return $slot;
        }

        return [
            'course' => Response::towards(
                $now->tick,
                Response::at($slot['course'], $now->tick),
                $target,
                $this->p['travel_s'] / self::CONSTANTS,
            ),
            'target' => $target,
        ];
    }

    public function shows(array $slot): string
    {
        return $slot['target'] > 0.5 && $slot['course'][2] !== [] ? 'opens' : '';
    }
}
