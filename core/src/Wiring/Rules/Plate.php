<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Part;
use OddSpark\Process\Flow\Orifice;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;

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
                'not as on the plate',
                Finding::ODD,
                [$plate->part, ...$burners],
                [],
                sprintf('The plate says an input of %g; its orifices are for %g.', $plate->input, $input),
                'An over- or underfired appliance heats, vents and burns differently than rated.',
                'Set the input of its orifices, or what the plate says.',
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
