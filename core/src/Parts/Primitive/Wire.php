<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * A wire: a joint at each end, copper between, and where it rubs, a way to what is beside it.
 * Slot: a, b: whether each end is landed.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Wire extends Primitive
{
    public const LIVE = false;

    private const JOINT_SIEMENS = 500.0;

    /** Siemens of the joint at each end when landed, of the copper, and of what it rubs on. */
    private readonly float $atA;

    private readonly float $copper;

    private readonly float $atB;

    private readonly float $rubs;

    /**
     * @param Figures $p ohm: of the copper, open: broken inside, extra_ohm: a bad joint at its far end,
     *     rubs_ohm, elsewhere: the end that is landed on another place
     */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $elsewhere = $p['elsewhere'] ?? null;
        $this->atA = $elsewhere === 'a' ? 0.0 : self::JOINT_SIEMENS;
        $this->copper = ($p['open'] ?? false) ? 0.0 : 1 / $p['ohm'];
        $this->atB = $elsewhere === 'b' ? 0.0 : 1 / (1 / self::JOINT_SIEMENS + (float) ($p['extra_ohm'] ?? 0.0));
        $this->rubs = isset($p['rubs_ohm']) ? 1 / $p['rubs_ohm'] : 0.0;
    }

    public static function figures(array $spec): array
    {
        return [new Figure('ohm', 'Ω')];
    }

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
        $values->resistor($b[0], $slot['a'] ? $this->atA : 0.0);
        $values->resistor($b[1], $this->copper);
        $values->resistor($b[2], $slot['b'] ? $this->atB : 0.0);
        if (isset($b[3])) {
            $values->resistor($b[3], $this->rubs);
        }
    }
}
