<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** Fresh batteries for a thermostat. */
final readonly class FitBatteries extends Act
{
    public const NAME = 'batteries';

    public const MINUTES = 2.0;

    public const QUALITIES = [Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part())
            ?? ($now->model->kindOf($this->part())?->hands()->batteries === true
                ? null
                : Words::say('acts.fit_batteries.it_has_no_batteries'));
    }

    public function apply(Situation $now): BenchState
    {
        $fresh = [];
        foreach ($now->model->parts()[$this->part()]->kind->batteries() as $name => $spec) {
            $fresh["{$this->part()}.$name.volts"] = $spec->get('volts');
        }

        return $now->state->with(fitted: array_replace($now->state->fitted, $fresh));
    }

    public function said(Names $names): string
    {
        return Words::say('acts.fit_batteries.put_fresh_batteries_into', ['part' => $names->part($this->part())]);
    }
}
