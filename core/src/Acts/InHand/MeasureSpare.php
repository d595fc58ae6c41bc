<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;
use OddSpark\Appliance\Model;
use OddSpark\Instruments\Measured;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Words\Words;

/** Ohms of a new one out of its box, between two of its terminals: whether it is sound, and what a sound one has. */
final readonly class MeasureSpare extends Act
{
    public const NAME = 'ohm_spare';

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
            return Words::say('acts.measure_spare.there_is_no_part_called', ['part' => $this->part()]);
        }
        if (! $part->kind->hands()->off) {
            return Words::say('acts.measure_spare.the_van_has_no_new');
        }
        foreach (['red', 'black'] as $lead) {
            if (! in_array($this->get($lead), $part->places(), true)) {
                return Words::say('acts.measure_spare.a_new_one_has_no', ['lead' => $this->get($lead)]);
            }
        }

        return null;
    }

    public function measures(Situation $now): Measured
    {
        $ohms = $this->ohms($now);
        $isLow = $now->state->battery === 'low';

        return new Measured($ohms, Meter::show(Mode::Ohms, $ohms, $now->site()->noise(), null, $isLow));
    }

    /** It is a part from a box, and says nothing of the appliance. */
    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    /** What a sound one has between two of its terminals: worked out once, asked by every candidate. */
    private function ohms(Situation $now): float
    {
        static $known = [];
        [$red, $black] = [$this->get('red'), $this->get('black')];

        return $known["{$now->plan->hash} $red $black"] ??= (function () use ($now, $red, $black): float {
            $sound = new Machine($now->plan, [], new Memory());
            $state = $sound->initial();
            foreach ($now->model->endsAt($this->part()) as $at) {
                [$wire, $end] = Model::split($at);
                $state = $state->withSlots(["$wire.body" => [$end => false]]);
            }

            return Meter::exact(
                Mode::Ohms,
                $sound->solution($state),
                $now->plan->places[$red],
                $now->plan->places[$black],
            );
        })();
    }

    public function said(Names $names): string
    {
        return Words::say('acts.measure_spare.a_new_one_for', [
            'part' => $names->part($this->part()),
            'red' => $names->place($this->get('red')),
            'black' => $names->place($this->get('black')),
        ]);
    }
}
