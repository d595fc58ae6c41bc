<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\GivesFuel;
use OddSpark\Parts\Ability\Glows;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Trade\Response;
use OddSpark\Words\Words;

/**
 * A heater whose resistance follows its heat, in bands, and which heats by the watts it gets.
 * Slot: band, and course of its temperature, °F.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Heater extends Primitive implements GivesFuel, Glows
{
    public const SCATTERS = ['cold_ohm', 'hot_ohm'];

    public const DOES = 'heats glows';

    public const VARIES = true;

    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['rise_f', 'tau_s', 'room_f', 'glows_at_f', 'rated_v'];

    /**
     * °F at which its ohms are taken anew on the way to its glow: so close that a meter goes along with it, a tenth at
     * a time. Each is one more state of the circuit to be solved.
     */
    private const STEPS = [350.0, 600.0, 850.0, 1150.0, 1450.0];

    /** Where a dull red begins, °F. */
    private const DULL_F = 1150.0;

    /** °F below an edge at which a band is left again. */
    private const BACK = 90.0;

    /** @var list<float> °F at which the next band begins; the last is the one at which it glows */
    private readonly array $edges;

    /**
     * @param Figures $p cold_ohm, hot_ohm, rise_f at rated watts, rated_v, tau_s, room_f, glows_at_f, open
     */
    public function __construct(private readonly array $p, private readonly Fittings $f)
    {
        $glows = (float) $p['glows_at_f'];
        $this->edges = [...array_filter(self::STEPS, fn (float $f): bool => $f < $glows - self::BACK), $glows];
    }

    public static function wiring(array $spec): array
    {
        return [Wired::load(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('cold_ohm', 'Ω', varies: true),
            new Figure('hot_ohm', 'Ω', varies: true),
            new Figure('rise_f', '°F'),
            new Figure('rated_v', 'V'),
            new Figure('tau_s', 's'),
            new Figure('room_f', '°F'),
            new Figure('glows_at_f', '°F'),
        ];
    }

    public static function faults(array $spec): array
    {
        return [new NaturalFault('open', Words::say('parts.heater.element_open'), ['open' => true], 1.0)];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function electric(array $slot): string
    {
        return (string) $slot['band'];
    }

    public function initial(): array
    {
        return ['band' => 0, 'course' => Response::still(0, $this->p['room_f']), 'target' => $this->p['room_f']];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $this->siemens($slot['band']));
    }

    public function react(array $slot, Surroundings $now): array
    {
        $v = $now->acVolts($this->f->nodes['a'], $this->f->nodes['b']);
        $watts = $v * $v * $this->siemens($slot['band']);
        $rated = $this->p['rated_v'] ** 2 / $this->p['hot_ohm'];
        // most of it is radiated, so that the rise grows more slowly than the watts
        $target = round($this->p['room_f'] + $this->p['rise_f'] * min(1.1, sqrt($watts / $rated)), 1);
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
        while (isset($this->edges[$slot['band']]) && $f >= $this->edges[$slot['band']] - 1e-3) {
            $slot['band']++;
        }
        while ($slot['band'] > 0 && $f <= $this->edges[$slot['band'] - 1] - self::BACK + 1e-3) {
            $slot['band']--;
        }

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $levels = [
            $this->edges[$slot['band']] ?? null,
            isset($this->edges[$slot['band'] - 1]) ? $this->edges[$slot['band'] - 1] - self::BACK : null,
        ];
        $next = self::NEVER;
        foreach ($levels as $level) {
            if ($level !== null) {
                $next = min($next, Response::crossing($slot['course'], $level, $now->tick) ?? self::NEVER);
            }
        }

        return $next;
    }

    public function shows(array $slot): string
    {
        return match (true) {
            $slot['band'] >= count($this->edges) => 'bright',
            $slot['band'] > 0 && $this->edges[$slot['band'] - 1] >= self::DULL_F => 'dull',
            default => '',
        };
    }

    private function siemens(int $band): float
    {
        if ($this->p['open'] ?? false) {
            return 0.0;
        }
        $share = $band / count($this->edges);

        return 1 / ($this->p['cold_ohm'] * ($this->p['hot_ohm'] / $this->p['cold_ohm']) ** $share);
    }
}
