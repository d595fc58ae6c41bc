<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * A wire: a joint at each end, copper between, and where it rubs, a way to what is beside it.
 * Slot: a, b: whether each end is landed.
 */
final class Wire extends Primitive
{
    public const LIVE = false;

    private const JOINT_SIEMENS = 500.0;

    /** @param array<string, mixed> $p ohm: of the copper, open: broken inside, extra_ohm: a bad joint at its far end, rubs_ohm, elsewhere: the end that is landed on another place */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function joins(array $spec): array
    {
        $branches = [[$spec['from'], 'a'], ['a', 'b'], ['b', $spec['to']]];
        if (isset($spec['rubs'])) {
            $branches[] = ['b', $spec['rubs']];
        }

        return ['branches' => $branches];
    }

    public function electric(array $slot): string
    {
        return ($slot['a'] ? '1' : '0').($slot['b'] ? '1' : '0');
    }

    public function initial(): array
    {
        return ['a' => true, 'b' => true];
    }

    public function stamp(array $slot, Values $values): void
    {
        $b = $this->f->branches;
        $elsewhere = $this->p['elsewhere'] ?? null;
        $values->resistor($b[0], $slot['a'] && $elsewhere !== 'a' ? self::JOINT_SIEMENS : 0.0);
        $values->resistor($b[1], ($this->p['open'] ?? false) ? 0.0 : 1 / $this->p['ohm']);
        $values->resistor($b[2], $slot['b'] && $elsewhere !== 'b' ? 1 / (1 / self::JOINT_SIEMENS + ($this->p['extra_ohm'] ?? 0.0)) : 0.0);
        if (isset($b[3])) {
            $values->resistor($b[3], isset($this->p['rubs_ohm']) ? 1 / $this->p['rubs_ohm'] : 0.0);
        }
    }
}
