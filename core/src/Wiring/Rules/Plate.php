<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Part;
use OddSpark\Process\Flow\Orifice;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/** What the appliance is made up of against what its rating plate says. */
final class Plate extends Rule
{
    /** A pilot beside the burners; and what a plate rounds off. */
    private const NEAR = 0.06;

    public function find(): array
    {
        $plate = $this->model()->plate();
        if ($plate === null) {
            return [];
        }
        $input = 0.0;
        $burners = [];
        foreach ($this->model()->parts() as $part) {
            foreach ($this->orifices($part) as $rated) {
                $input += $rated;
                $burners[] = $part->id;
            }
        }
        if ($burners === [] || abs($input - $plate->input) <= self::NEAR * $plate->input) {
            return [];
        }

        return [
            new Finding(
                Words::plain('wiring.plate.not_as_on_the_plate'),
                Finding::ODD,
                [$plate->part, ...$burners],
                [],
                Words::say('wiring.plate.the_plate_says_an_input', [
                    'input' => sprintf('%g', $plate->input),
                    'input_2' => sprintf('%g', $input),
                ]),
                Words::say('wiring.plate.an_over_or_underfired_appliance'),
                Words::say('wiring.plate.set_the_input_of_its'),
            ),
        ];
    }

    /** @return list<float> inputs of the part's orifices */
    private function orifices(Part $part): array
    {
        $inputs = [];
        foreach ($part->specs() as $spec) {
            if ($spec->can(Orifice::class)) {
                $inputs[] = (float) $spec->get('input');
            }
        }

        return $inputs;
    }
}
