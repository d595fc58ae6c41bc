<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * A coil with an armature: an impedance, pulled in above one voltage, dropped below another, each
 * after its time. Slot: on, due.
 */
final class Coil extends Primitive
{
    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['pull_in_v', 'drop_out_v', 'pull_in_ms', 'drop_out_ms'];

    /** @param array<string, mixed> $p ohm, reactance_ohm, pull_in_v, drop_out_v, pull_in_ms, drop_out_ms, open, shorted_ohm, jammed: out | in */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        return ['on' => false, 'due' => null];
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
        $v = $now->acVolts($this->f->nodes['a'], $this->f->nodes['b']);
        $dead = ($this->p['open'] ?? false) || isset($this->p['shorted_ohm']);
        $wanted = ! $dead && ($slot['on'] ? $v > $this->p['drop_out_v'] : $v >= $this->p['pull_in_v']);
        if ($wanted === $slot['on']) {
            return ['on' => $slot['on'], 'due' => null];
        }
        $due = $slot['due'] ?? $now->tick + ($wanted ? $this->p['pull_in_ms'] : $this->p['drop_out_ms']);

        return $now->tick >= $due ? ['on' => $wanted, 'due' => null] : ['on' => $slot['on'], 'due' => $due];
    }

    public function next(array $slot, Surroundings $now): int
    {
        return $slot['due'] ?? self::NEVER;
    }

    public function shows(array $slot): string
    {
        return $slot['on'] ? 'drawn in' : '';
    }
}
