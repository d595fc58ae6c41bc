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
 * A motor with its electronics: line power stands on it all the time, and it turns as it is told, by 24 V on one of its
 * taps (the highest live one wins) or by a DC signal. Slot: band (stopped, runs), course of its speed (1 = rated),
 * target, hums.
 *
 * What it draws goes with the cube of its speed, as a fan's power does; idle its electronics draw a little.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class ElectronicMotor extends Primitive implements Turns
{
    public const DOES = 'turns runs ECM';

    public const VARIES = true;

    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['seized', 'drag', 'slips', 'run_v', 'tap_v', 'taps', 'signal_v', 'tau_s', 'dead'];

    /** Volts on a tap that count as live: common practice, no source. */
    private const TAP_V = 12.0;

    /** Ω that its electronics are to the line at rest; from memory. */
    private const IDLE_OHM = 5000.0;

    /** Ω of an input: an opto-coupler behind its resistor; from memory. */
    private const INPUT_OHM = 3300.0;

    /**
     * @param Figures $p line, common; run: [ohm, reactance] at full speed; run_v: least volts of the line; taps: share
     *     of its speed by terminal, tap_common (common where none is given), tap_v: volts that count as live; or
     *     signal: [terminal, terminal] and signal_v: [at rest, at full speed]; tau_s; seized, drag: share of speed
     *     left, slips, dead: its module, open
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        $loads = [Wired::load($spec['line'], $spec['common'])];
        foreach (array_keys($spec['taps'] ?? []) as $tap) {
            $loads[] = Wired::load((string) $tap, $spec['tap_common'] ?? $spec['common']);
        }
        if (isset($spec['signal'])) {
            $loads[] = Wired::load(...$spec['signal']);
        }

        return $loads;
    }

    public static function figures(array $spec): array
    {
        return [new Figure('run_v', 'V'), new Figure('tap_v', 'V'), new Figure('tau_s', 's', 0.05, 120.0)];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault(
                'module-dead',
                Words::say('parts.electronic_motor.its_module_dead'),
                ['dead' => true],
                0.9,
            ),
            new NaturalFault('seized', 'seized', ['seized' => true], 0.3),
        ];
    }

    public static function joins(array $spec): array
    {
        $branches = [[$spec['line'], $spec['common']]];
        foreach (array_keys($spec['taps'] ?? []) as $tap) {
            $branches[] = [(string) $tap, $spec['tap_common'] ?? $spec['common']];
        }
        if (isset($spec['signal'])) {
            $branches[] = $spec['signal'];
        }

        return ['branches' => $branches];
    }

    public function electric(array $slot): string
    {
        return (string) $slot['target'];
    }

    public function initial(): array
    {
        return ['band' => 'stopped', 'course' => Response::still(0, 0.0), 'target' => 0.0, 'hums' => false];
    }

    public function stamp(array $slot, Values $values): void
    {
        [$ohm, $reactance] = $this->p['run'];
        $power = $slot['target'] ** 3;
        $branches = $this->f->branches;
        if ($power > 1e-3) {
            $values->impedance($branches[0], $ohm / $power, $reactance / $power);
        } else {
            $values->resistor($branches[0], ($this->p['open'] ?? false) ? 0.0 : 1 / self::IDLE_OHM);
        }
        foreach (array_slice($branches, 1) as $input) {
            $values->resistor($input, 1 / self::INPUT_OHM);
        }
    }

    public function react(array $slot, Surroundings $now): array
    {
        $p = $this->p;
        $n = $this->f->nodes;
        $isFed = $now->acVolts($n['line'], $n['common']) >= $p['run_v'];
        $works = $isFed && ! ($p['dead'] ?? false) && ! ($p['seized'] ?? false) && ! ($p['open'] ?? false);
        $speed = $works
            ? round($this->asked($now) * ($p['drag'] ?? 1.0) * ($p['slips'] ?? 1.0), 2)
            : 0.0;
        if ($speed !== $slot['target']) {
            $at = Response::at($slot['course'], $now->tick);
            $slot['course'] = Response::towards($now->tick, $at, $speed, $p['tau_s']);
            $slot['target'] = $speed;
        }

        return ['band' => $speed > 0.0 ? 'runs' : 'stopped'] + $slot;
    }

    /** What it is told to do, as a share of its speed. */
    private function asked(Surroundings $now): float
    {
        $n = $this->f->nodes;
        $asked = 0.0;
        $common = $n[$this->p['tap_common'] ?? $this->p['common']];
        foreach ($this->p['taps'] ?? [] as $tap => $share) {
            if ($now->acVolts($n[$tap], $common) >= ($this->p['tap_v'] ?? self::TAP_V)) {
                $asked = max($asked, (float) $share);
            }
        }
        if (isset($this->p['signal'])) {
            [$rest, $full] = $this->p['signal_v'];
            [$a, $b] = $this->p['signal'];
            $share = ($now->dcVolts($n[$a], $n[$b]) - $rest) / ($full - $rest);
            $asked = max($asked, min(1.0, max(0.0, $share)));
        }

        return $asked;
    }

    public static function speed(array $slot): float
    {
        return (float) $slot['target'];
    }

    public function shows(array $slot): string
    {
        return match (true) {
            $slot['target'] == 0.0 => '',
            $slot['target'] < 0.75 => 'slow',
            default => 'runs',
        };
    }
}
