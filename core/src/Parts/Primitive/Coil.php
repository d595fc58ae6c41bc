<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\Attracts;
use OddSpark\Parts\Ability\GivesFuel;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * A coil with an armature: an impedance, pulled in above one voltage, dropped below another, each
 * after its time. Slot: on, due, moved (tick of its last move), buzz, held (pushed in by hand).
 *
 * One that breaks what feeds it buzzes, in time: it is heard as a buzz, not as every single click.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Coil extends Primitive implements Attracts, GivesFuel
{
    public const SCATTERS = ['ohm'];

    public const DOES = 'pulls in magnet';

    public const READS_CIRCUIT = true;

    /** Moves that follow each other within so many ms are a buzz, which lasts a little after the last of them. */
    private const BUZZ_MS = 300;

    public const MECHANICAL = ['pull_in_v', 'drop_out_v', 'pull_in_ms', 'drop_out_ms'];

    /**
     * @param Figures $p ohm, reactance_ohm, pull_in_v, drop_out_v, pull_in_ms, drop_out_ms, open,
     *     shorted_ohm, dc: it works on millivolts or other DC,
     *     seats: {@see Condition} without which it can hold but not pull in (a pilot magnet and its button)
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [Wired::load(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('ohm', 'Ω', varies: true),
            new Figure('reactance_ohm', 'Ω'),
            new Figure('pull_in_v', 'V'),
            new Figure('drop_out_v', 'V'),
            new Figure('pull_in_ms', 'ms'),
            new Figure('drop_out_ms', 'ms'),
        ];
    }

    public static function faults(array $spec): array
    {
        return [new NaturalFault('coil-open', Words::say('parts.coil.coil_open'), ['open' => true], 1.0)];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        return ['on' => false, 'due' => null, 'moved' => -self::BUZZ_MS, 'buzz' => false, 'held' => false];
    }

    public function stamp(array $slot, Values $values): void
    {
        if ($this->p['open'] ?? false) {
            $values->resistor($this->f->branches[0], 0.0);
        } elseif (isset($this->p['shorted_ohm'])) {
            $values->resistor($this->f->branches[0], 1 / $this->p['shorted_ohm']);
        } else {
            $values->impedance($this->f->branches[0], $this->p['ohm'], $this->p['reactance_ohm']);
        }
    }

    public function react(array $slot, Surroundings $now): array
    {
        [$a, $b] = [$this->f->nodes['a'], $this->f->nodes['b']];
        $v = ($this->p['dc'] ?? false) ? abs($now->dcVolts($a, $b)) : $now->acVolts($a, $b);
        $dead = ($this->p['open'] ?? false) || isset($this->p['shorted_ohm']);
        $wanted =
            $slot['held'] ||
            (! $dead &&
                ($slot['on'] ? $v > $this->p['drop_out_v'] : $v >= $this->p['pull_in_v'] && $this->isSeated($now)));
        if ($slot['buzz'] && $now->tick >= (int) $slot['moved'] + self::BUZZ_MS) {
            $slot['buzz'] = false;
        }
        if ($wanted === $slot['on']) {
            return ['due' => null] + $slot;
        }
        $due = $slot['due'] ?? $now->tick + (int) ($wanted ? $this->p['pull_in_ms'] : $this->p['drop_out_ms']);

        return $now->tick >= $due
            ? [
                'on' => $wanted,
                'due' => null,
                'moved' => $now->tick,
                'buzz' => $now->tick - $slot['moved'] < self::BUZZ_MS,
            ] + $slot
            : ['due' => $due] + $slot;
    }

    public function follows(): array
    {
        return isset($this->p['seats']) ? [$this->p['seats']['by']] : [];
    }

    private function isSeated(Surroundings $now): bool
    {
        return ! isset($this->p['seats']) || Condition::holds($this->p['seats'], $now);
    }

    public function next(array $slot, Surroundings $now): int
    {
        return min($slot['due'] ?? self::NEVER, $slot['buzz'] ? (int) $slot['moved'] + self::BUZZ_MS : self::NEVER);
    }

    public function shows(array $slot): string
    {
        return $slot['buzz'] ? 'buzzes' : ($slot['on'] ? 'drawn in' : '');
    }
}
