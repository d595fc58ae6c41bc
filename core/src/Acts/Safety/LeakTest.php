<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Words\Words;

/** Leak solution, or a detector, at the joints of a gas or oil part: with the fuel on, or it tells nothing. */
final readonly class LeakTest extends Act
{
    public const NAME = 'leak_test';

    public const MINUTES = 2.0;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part()) ?? match (true) {
            $now->model->kindOf($this->part())?->carriesFuel() !== true => Words::say('acts.leak_test.no_fuel'),
            isset($now->state->off[$this->part()]) => Words::say('acts.leak_test.it_is_off_put_it'),
            default => null,
        };
    }

    public function shows(Situation $now): array
    {
        return [
            'joints' => $now->risk->opened($now, $this->part()) === []
                ? Words::say('acts.leak_test.no_pressure_on_them_it')
                : Words::say('acts.leak_test.tight_no_bubbles'),
        ];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.leak_test.leak_solution_on_the_joints', ['part' => $names->part($this->part())]);
    }
}
