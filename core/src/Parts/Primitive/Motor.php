<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Trade\Response;
use OddSpark\Words\Words;

/**
 * A single-phase motor: shaded pole, or with a start winding in series with a capacitor outside.
 * Slot: band (stopped, slow, full), course of its speed (1 = rated), humming, tripped.
 *
 * Torque comes from the start winding's current (or, shaded pole, from volts alone), and how fast it turns what it
 * drives from that: at slow_amps it just starts and runs at not half its speed, at full_amps at all of it. Between
 * them its speed collapses soon, as a fan's does once its motor is near its breakdown torque (the figure is a rule of
 * this product; the sign and the ends are common practice, no source). Locked, it draws its locked-rotor impedance and
 * hums until its overload opens.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Motor extends Primitive implements Turns
{
    public const DOES = 'turns runs';

    public const VARIES = true;

    public const READS_CIRCUIT = true;

    public const MECHANICAL = [
        'seized',
        'drag',
        'slips',
        'run_v',
        'full_v',
        'tau_s',
        'overload_s',
        'overload_cools_s',
        'slow_amps',
        'full_amps',
    ];

    /** Share of its speed at the least current through its start winding with which it starts. */
    private const SLOWEST = 0.45;

    private const COLLAPSES = 5.0;

    /**
     * @param Figures $p run: [ohm, reactance] running, locked: [ohm, reactance], tap: [ohm, reactance]
     *     of the low-speed tap, tap_open, start_ohms: [ohm, reactance] of the start winding, slow_amps and full_amps
     *     through it, run_v: volts to run at all, full_v: volts for full speed, tau_s, overload_s, overload_cools_s,
     *     open, start_open, seized, drag: share of speed left; slips: the same of a belt, its shaft free
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return array_map(
            fn (string $tap) => Wired::load($tap, $spec['common']),
            array_values(array_intersect_key($spec, ['line' => 1, 'low_tap' => 1])),
        );
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('run_v', 'V'),
            new Figure('full_v', 'V'),
            new Figure('tau_s', 's'),
            new Figure('overload_s', 's'),
            new Figure('overload_cools_s', 's'),
            new Figure('slow_amps', 'A'),
            new Figure('full_amps', 'A'),
        ];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault('open', Words::say('parts.motor.winding_open'), ['open' => true], 0.8),
            new NaturalFault('seized', 'seized', ['seized' => true], 0.5),
        ];
    }

    public static function joins(array $spec): array
    {
        $branches = [[$spec['line'], $spec['common']]];
        if (isset($spec['low_tap'])) {
            $branches[] = [$spec['low_tap'], $spec['line']];
        }
        if (isset($spec['start'])) { // its other end goes to a run capacitor
            $branches[] = [$spec['line'], $spec['start']];
        }

        return ['branches' => $branches];
    }

    public function electric(array $slot): string
    {
        return $slot['tripped'] ? 't' : ($slot['band'] === 'stopped' ? 's' : 'r');
    }

    public function initial(): array
    {
        return [
            'band' => 'stopped',
            'course' => Response::still(0, 0.0),
            'target' => 0.0,
            'hums' => false,
            'tripped' => false,
            'due' => null,
        ];
    }

    public function stamp(array $slot, Values $values): void
    {
        $p = $this->p;
        $open = ($p['open'] ?? false) || $slot['tripped'];
        $this->winding($values, 0, $open ? null : ($slot['band'] === 'stopped' ? $p['locked'] : $p['run']));
        $branch = 1;
        if (isset($p['tap'])) {
            $this->winding($values, $branch++, ($p['tap_open'] ?? false) ? null : $p['tap']);
        }
        if (isset($p['start_ohms'])) {
            $this->winding($values, $branch, ($p['start_open'] ?? false) ? null : $p['start_ohms']);
        }
    }

    public function react(array $slot, Surroundings $now): array
    {
        $p = $this->p;
        $n = $this->f->nodes;
        $volts = $now->acVolts($n['line'], $n['common']);
        $powered = $volts > 10 && ! ($p['open'] ?? false) && ! $slot['tripped'];
        $band = 'stopped';
        $torque = 1.0;
        if ($powered && ! ($p['seized'] ?? false) && $volts >= $p['run_v']) {
            $band = 'full';
            if (isset($p['start_ohms'])) {
                $amps = $this->startAmps($now);
                $band = $this->bandByStart($amps, $slot['band']);
                $torque = ($amps - $p['slow_amps']) / ($p['full_amps'] - $p['slow_amps']);
            }
        }
        $left = max(0.0, min(1.0, $torque)) ** self::COLLAPSES;
        $share = $band === 'stopped' ? 0.0 : self::SLOWEST + (1 - self::SLOWEST) * $left;
        $speed = round(
            $share * ($p['drag'] ?? 1.0) * ($p['slips'] ?? 1.0) * min(1.0, $volts / ($p['full_v'] ?? 112)),
            2,
        );
        if ($speed !== $slot['target']) {
            $slot['course'] = Response::towards(
                $now->tick,
                Response::at($slot['course'], $now->tick),
                $speed,
                $p['tau_s'],
            );
            $slot['target'] = $speed;
        }
        $slot['hums'] = $powered && $band === 'stopped';
        $slot['band'] = $band;
        if ($slot['tripped']) {
            return $now->tick >= $slot['due'] ? ['tripped' => false, 'due' => null] + $slot : $slot;
        }
        if (! $slot['hums']) {
            return ['due' => null] + $slot;
        }
        $slot['due'] ??= $now->tick + (int) (1000 * $p['overload_s']);
        if ($now->tick >= $slot['due']) {
            return ['tripped' => true, 'hums' => false, 'due' => $now->tick + (int) (1000 * $p['overload_cools_s'])] +
                $slot;
        }

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        return $slot['due'] ?? self::NEVER;
    }

    public static function speed(array $slot): float
    {
        return (float) $slot['target'];
    }

    public function shows(array $slot): string
    {
        return match (true) {
            $slot['hums'] => 'hums',
            $slot['target'] == 0.0 => '',
            $slot['target'] < 0.75 => 'slow',
            default => 'runs',
        };
    }

    private function startAmps(Surroundings $now): float
    {
        if ($this->p['start_open'] ?? false) {
            return 0.0;
        }
        $n = $this->f->nodes;

        return $now->acVolts($n['line'], $n['start']) / hypot(...$this->p['start_ohms']);
    }

    private function bandByStart(float $amps, string $was): string
    {
        $stays = $was === 'stopped' ? 1.0 : 0.9; // less is needed to keep it going

        return match (true) {
            $amps >= $this->p['full_amps'] * $stays => 'full',
            $amps >= $this->p['slow_amps'] * $stays => 'slow',
            default => 'stopped',
        };
    }

    /** @param array{float, float}|null $z */
    private function winding(Values $values, int $branch, ?array $z): void
    {
        if ($z === null) {
            $values->resistor($this->f->branches[$branch], 0.0);
        } else {
            $values->impedance($this->f->branches[$branch], ...$z);
        }
    }
}
