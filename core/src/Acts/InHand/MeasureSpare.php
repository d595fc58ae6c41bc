<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Model;
use OddSpark\Instruments\Measured;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;

/** Ohms of a new one out of its box, between two of its terminals: whether it is sound, and what a sound one has. */
final readonly class MeasureSpare extends Act
{
    public const NAME = 'ohm_spare';

    public const TITLE = 'Measuring a new part';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'red' => Field::place(), 'black' => Field::place()];
    }

    public function refusal(Situation $now): ?string
    {
        $part = $now->model->part($this->part());
        if ($part === null) {
            return "There is no part called \"{$this->part()}\" here.";
        }
        if (! $part->kind->hands()->off) {
            return 'There is no new one of it in the van.';
        }
        foreach (['red', 'black'] as $lead) {
            if (! in_array($this->get($lead), $part->places(), true)) {
                return "A new one has no place called \"{$this->get($lead)}\".";
            }
        }

        return null;
    }

    public function measures(Situation $now): Measured
    {
        $sound = new Machine($now->plan, [], new Memory());
        $state = $sound->initial();
        foreach ($now->model->wires() as $id => $wire) {
            foreach (['a', 'b'] as $end) {
                if (Model::split($wire->at($end))[0] === $this->part()) {
                    $state = $state->withSlots(["$id.body" => [$end => false]]);
                }
            }
        }
        [$red, $black] = [$now->plan->places[$this->get('red')], $now->plan->places[$this->get('black')]];
        $ohms = Meter::exact(Mode::Ohms, $sound->solution($state), $red, $black);
        $isLow = $now->state->battery === 'low';

        return new Measured($ohms, Meter::show(Mode::Ohms, $ohms, $now->site()->noise(), null, $isLow));
    }

    public function said(Names $names): string
    {
        return sprintf('A new one for %s: %s to %s', ...[
            $names->part($this->part()),
            $names->place($this->get('red')),
            $names->place($this->get('black')),
        ]);
    }
}
