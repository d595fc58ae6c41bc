<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Instruments\Site;
use OddSpark\Meter\Closeness;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Parts\Primitive;

/**
 * An appliance as it stands at a moment, for whoever asks what a meter would show there, without anybody at it.
 *
 * @phpstan-import-type Slot from Primitive
 */
final readonly class Standing
{
    /** @param list<string> $told what can be seen and heard of it, in sentences */
    public function __construct(public Site $site, public array $told) {}

    /**
     * The exact figure between two places, the meter's own resistance in it.
     *
     * @param array<string, Slot> $otherwise of the state what is to stand otherwise, nothing following from it
     */
    public function reads(Mode $mode, string $red, string $black, array $otherwise = []): float
    {
        [$a, $b] = [$this->site->plan->places[$red], $this->site->plan->places[$black]];
        $state = $otherwise === [] ? $this->site->state : $this->site->state->withSlots($otherwise);
        $solution = $this->site->machine->solution($state, $a === $b ? null : [$a, $b, $mode->siemens()]);

        return Meter::exact($mode, $solution, $a, $b);
    }

    /** Whether what is shown there comes through a cable's insulation: a load of 3 kΩ takes it away. */
    public function isStray(Mode $mode, string $red, string $black): bool
    {
        return $mode === Mode::VoltsAc &&
            $this->reads($mode, $red, $black) >= Closeness::NOTHING_V &&
            $this->reads(Mode::VoltsLow, $red, $black) < Closeness::NOTHING_V;
    }
}
