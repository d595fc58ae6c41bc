<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\HoldsCharge;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * The capacitor of a motor: what it holds when it is cut off stays on it until something lets it go.
 * Slot: peak (V it last stood at under AC), charge (V it holds now), tau (s), due.
 *
 * How far a sine had come when it was cut off is chance; its crest is taken, which is what a careful
 * hand reckons with. The charge falls by V·exp(−t/RC) with the R that the circuit then offers, in
 * steps. Through windings it is gone before anyone can put a lead there.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Slot from Primitive
 */
final class RunCapacitor extends Primitive implements HoldsCharge
{
    public const SCATTERS = ['microfarad'];

    public const DOES = 'starts runs motor microfarad';

    public const READS_CIRCUIT = true;

    /** S behind which the charge stands as a source, at DC. */
    private const STIFF = 1.0;

    private const STEP = 0.8;

    private const GONE_V = 0.4;

    /** A charge that lasts less than this was never there for a person. */
    private const LASTS_S = 0.05;

    private readonly float $farad;

    private readonly float $leak;

    /** @param Figures $p microfarad, leak_ohm */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->farad = $p['microfarad'] * 1e-6;
        $this->leak = 1 / $p['leak_ohm'];
    }

    public static function figures(array $spec): array
    {
        return [new Figure('microfarad', 'µF'), new Figure('leak_ohm', 'Ω')];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function initial(): array
    {
        return self::still(0.0);
    }

    public function electric(array $slot): string
    {
        return (string) $slot['charge'];
    }

    public function stamp(array $slot, Values $values): void
    {
        $b = $this->f->branches[0];
        $values->capacitor($b, $this->f->omega * $this->farad, $this->leak);
        if ($slot['charge'] > 0) {
            $values->dc[$b] = self::STIFF;
        }
        $values->source($b, $this->f->nodes['a'], $this->f->nodes['b'], 0.0, 0.0, $slot['charge'] * self::STIFF);
    }

    public function react(array $slot, Surroundings $now): array
    {
        $volts = $now->acVolts($this->f->nodes['a'], $this->f->nodes['b']);
        if ($volts > 5) {
            return self::still(round($volts * M_SQRT2, -1));
        }
        if ($slot['charge'] == 0.0 && $slot['peak'] == 0.0) {
            return $slot;
        }
        $due = $slot['due'];
        $charge = $slot['charge'] == 0.0 ? $slot['peak'] : $slot['charge'];
        if ($due !== null && $now->tick >= $due) {
            $charge = round($charge * self::STEP, 2);
            $due = null;
        }
        $tau = $this->farad * $this->ohms($slot['charge'] > 0, $now);
        if ($charge < self::GONE_V || $tau < self::LASTS_S) {
            return self::still(0.0);
        }
        $left = $due === null ? -log(self::STEP) * $tau : ($due - $now->tick) / 1000 * $tau / $slot['tau'];
        if ($due !== null && abs($tau - $slot['tau']) <= 1e-6 * $tau) {
            return $slot;
        }

        return ['peak' => 0.0, 'charge' => $charge, 'tau' => $tau, 'due' => $now->tick + (int) ceil(1000 * $left)];
    }

    public function next(array $slot, Surroundings $now): int
    {
        return $slot['due'] ?? self::NEVER;
    }

    /** Ohms through which the charge goes: all that is joined to it, and its own leak. */
    private function ohms(bool $charged, Surroundings $now): float
    {
        $ohms = $now->solution?->dcOhms($this->f->nodes['a'], $this->f->nodes['b']) ?? INF;

        // while it is charged its own stiff source stands among what is joined to it: take that out
        return $charged ? 1 / max($this->leak, 1 / $ohms - self::STIFF + $this->leak) : min($ohms, 1 / $this->leak);
    }

    /** @return Slot holding nothing, and remembering what it last stood at */
    private static function still(float $peak): array
    {
        return ['peak' => $peak, 'charge' => 0.0, 'tau' => 0.0, 'due' => null];
    }
}
