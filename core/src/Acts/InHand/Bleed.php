<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\HoldsCharge;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The charge of a capacitor let go: over a resistor, as it should be, or with a blade across it. */
final readonly class Bleed extends Act
{
    public const NAME = 'bleed';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Barrable];

    /** Volts that make an arc at a blade. */
    private const ARCS_V = 50.0;

    public static function fields(): array
    {
        return ['part' => Field::part(), 'over' => Field::oneOf('resistor', 'blade')];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part())
            ?? ($this->charged($now) === [] ? Words::say('acts.bleed.nothing_in_it_holds_a') : null);
    }

    public function risks(Situation $now): array
    {
        if (in_array('live-work', $now->risk->hands($now, $this->part()), true)) {
            return ['live-work'];
        }
        $charges = array_map(fn (string $id): float => $now->state->slots[$id]['charge'], $this->charged($now));
        $most = max([0.0, ...$charges]);

        return $this->get('over') === 'blade' && $most > self::ARCS_V ? ['shorted-capacitor'] : [];
    }

    public function apply(Situation $now): BenchState
    {
        $empty = ['peak' => 0.0, 'charge' => 0.0, 'tau' => 0.0, 'due' => null];

        return $now->state->withSlots(array_fill_keys($this->charged($now), $empty));
    }

    public function said(Names $names): string
    {
        return $this->get('over') === 'blade'
            ? Words::say('acts.bleed.laid_a_blade_across', ['part' => $names->part($this->part())])
            : Words::say('acts.bleed.bled_over_a_resistor', ['part' => $names->part($this->part())]);
    }

    /** @return list<string> what in it holds a charge */
    private function charged(Situation $now): array
    {
        $names = array_keys($now->model->kindOf($this->part())?->those(HoldsCharge::class) ?? []);

        return array_map(fn (string|int $name): string => "{$this->part()}.$name", $names);
    }
}
