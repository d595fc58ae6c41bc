<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Model;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A wire end taken off its terminal. */
final readonly class Lift extends Act
{
    public const NAME = 'lift';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['end' => Field::wireEnd()];
    }

    public function refusal(Situation $now): ?string
    {
        $end = $this->get('end');
        if (! $now->model->isWireEnd($end)) {
            return Words::say('acts.lift.there_is_no_wire_end', ['end' => $end]);
        }

        return $now->reach->end($now->state, $end)
            ?? ($now->state->isLanded($end) ? null : Words::say('acts.lift.it_is_lifted_already'));
    }

    public function risks(Situation $now): array
    {
        return $now->risk->hands($now, Model::split($this->get('end'))[0]);
    }

    public function apply(Situation $now): BenchState
    {
        return $now->reach->landed($now->state, $this->get('end'), false);
    }

    public function said(Names $names): string
    {
        return Words::say('acts.lift.lifted_the', ['end' => $names->place($this->get('end'))]);
    }
}
