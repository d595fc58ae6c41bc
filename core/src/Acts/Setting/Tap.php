<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Glows;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A tap with a finger or a handle. */
final readonly class Tap extends Act
{
    public const NAME = 'tap';

    public const MINUTES = 0.2;

    public const QUALITIES = [Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part());
    }

    public function risks(Situation $now): array
    {
        return $this->brittle($now) === [] ? [] : ['igniter-knocked'];
    }

    public function apply(Situation $now): BenchState
    {
        $tapped = [];
        foreach ($now->state->slots as $id => $slot) {
            if (str_starts_with($id, $this->part().'.') && isset($slot['taps'])) {
                $tapped[$id] = ['taps' => (int) $slot['taps'] + 1];
            }
        }

        $broken = array_fill_keys($this->brittle($now), true);

        return $now->state->with(fitted: $broken + $now->state->fitted)->withSlots($tapped);
    }

    /** @return list<string> what of it breaks when it is knocked, by the figure that says so */
    private function brittle(Situation $now): array
    {
        $names = array_keys($now->model->kindOf($this->part())?->those(Glows::class) ?? []);

        return array_map(fn (string|int $name): string => "{$this->part()}.$name.open", $names);
    }

    public function said(Names $names): string
    {
        return Words::say('acts.tap.tapped', ['part' => $names->part($this->part())]);
    }
}
