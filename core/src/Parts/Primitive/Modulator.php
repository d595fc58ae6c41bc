<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * Takes DC volts for a share of its way: a modulating coil, a stepper with its electronics. Slot: share, 0 to 1.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Modulator extends Primitive
{
    public const DOES = 'modulates';

    public const READS_CIRCUIT = true;

    public const AT_ONCE = true;

    public const MECHANICAL = ['zero_v', 'full_v', 'stuck'];

    /** Of its way: smaller changes of the volts do not move it. */
    private const STEP = 0.01;

    /** @param Figures $p ohm, zero_v and full_v: volts at the ends of its way, stuck: share where it stays, open */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [Wired::load(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('ohm', 'Ω', 1.0, 1e6),
            new Figure('zero_v', 'V', 0.0, 50.0),
            new Figure('full_v', 'V', 0.1, 50.0),
        ];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault(
                'modulator-open',
                Words::say('parts.modulator.modulating_coil_open'),
                ['open' => true],
                0.4,
            ),
            new NaturalFault(
                'modulator-stuck',
                Words::say('parts.modulator.does_not_modulate_stays_low'),
                ['stuck' => 0.0],
                0.3,
            ),
        ];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        return ['share' => 0.0];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], ($this->p['open'] ?? false) ? 0.0 : 1 / $this->p['ohm']);
    }

    public function react(array $slot, Surroundings $now): array
    {
        if (isset($this->p['stuck'])) {
            return ['share' => (float) $this->p['stuck']];
        }
        $volts = ($this->p['open'] ?? false) ? 0.0 : $now->dcVolts($this->f->nodes['a'], $this->f->nodes['b']);
        $share = ($volts - $this->p['zero_v']) / ($this->p['full_v'] - $this->p['zero_v']);

        return ['share' => round(min(1.0, max(0.0, $share)) / self::STEP) * self::STEP];
    }
}
