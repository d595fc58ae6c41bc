<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Catalogue;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

/** Ohms of every part and wire with an end lifted and the supply off, as questions. */
final readonly class OhmReadings
{
    public function __construct(private Evidence $evidence, private UsualPairs $usual) {}

    /** @return iterable<Question> */
    public function asked(): iterable
    {
        $model = $this->evidence->plan->model;
        foreach ($this->evidence->freed as $i => [$a, $b, $of]) {
            $values = array_map(fn (array $shown) => $shown['ohms'][$i], array_values($this->evidence->of));
            $text =
                ($wire = $model->wire($of)) !== null
                    ? Words::say('suspects.questions.wire_from_to', [
                        'colour' => $wire->colour,
                        'place_name' => $model->placeName($wire->from),
                        'place_name_2' => $model->placeName($wire->to),
                    ])
                    : Words::say('suspects.questions.to', [
                        'place_name' => $model->placeName($a),
                        'place_name_2' => $model->placeName($b),
                    ]);
            yield new Question(
                'ohms',
                Words::say('suspects.questions.ohms_of_lifted_power_off', ['text' => $text]),
                [$a, $b],
                Catalogue::minutes('lift') + Catalogue::minutes('leads'),
                $values,
                Mode::Ohms,
                handy: $wire !== null || $this->usual->isUsual($a, $b) ? 1.0 : Questions::UNUSUAL,
            );
        }
    }
}
