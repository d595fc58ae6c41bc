<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Clamp;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Scale;
use OddSpark\Meter\Specification;
use OddSpark\Run\BenchState;

/** A jaw round wires, which reads the amps through it. */
final readonly class ClampMeter extends Instrument implements Scale
{
    public const KEY = 'clamp';

    public const MINUTES = 0.3;

    public function key(): string
    {
        return self::KEY;
    }

    public function specification(): Specification
    {
        return new Specification('A AC', 60, 600, 0.020, 5, 0.04, 0.01, 600); // common practice, no source
    }

    public function isSigned(): bool
    {
        return false;
    }

    public function wantsDead(): bool
    {
        return false;
    }

    public function isOn(BenchState $state): bool
    {
        return $state->clamp !== null;
    }

    public function read(Site $site): Measured
    {
        ['wires' => $wires, 'turns' => $turns] = $site->state->clamp ?? ['wires' => [], 'turns' => 1];
        $values = $site->machine->values($site->state);
        $conductors = [];
        foreach (Clamp::ways($site->plan->model, $wires) as $i => $way) {
            $copper = $site->plan->primitives["$wires[$i].body"]['branches'][1];
            [$a, $b] = $site->plan->branches[$copper];
            $conductors[] = [$a, $b, $values->re[$copper], $way];
        }
        $exact = Clamp::amps($site->machine->solution($site->state), $conductors, $turns);

        return new Measured($exact, Meter::show($this, $exact, $site->noise()));
    }
}
