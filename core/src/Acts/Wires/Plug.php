<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** All wires of a part, by its plug. */
final readonly class Plug extends Act
{
    public const NAME = 'plug';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Touches, Quality::Restores, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('off', 'on')];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part())
            ?? (isset($now->state->off[$this->part()]) ? Words::say('acts.plug.it_is_off_put_it') : null);
    }

    public function risks(Situation $now): array
    {
        return $now->risk->hands($now, $this->part());
    }

    public function apply(Situation $now): BenchState
    {
        $state = $now->state;
        foreach ($now->model->endsAt($this->part()) as $end) {
            $state = $now->reach->landed($state, $end, $this->get('to') === 'on');
        }

        return $state;
    }

    public function said(Names $names): string
    {
        return Words::say(
            $this->get('to') === 'off' ? 'acts.plug.pulled_the_plug_of' : 'acts.plug.put_the_plug_back_on',
            ['part' => $names->part($this->part())],
        );
    }
}
