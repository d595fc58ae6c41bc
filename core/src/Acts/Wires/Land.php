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

/** A wire end put back where the drawing has it. */
final readonly class Land extends Act
{
    public const NAME = 'land';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Restores];

    public static function fields(): array
    {
        return ['end' => Field::wireEnd()];
    }

    public function refusal(Situation $now): ?string
    {
        $end = $this->get('end');
        if (! $now->model->isWireEnd($end)) {
            return Words::say('acts.land.there_is_no_wire_end', ['end' => $end]);
        }

        return $now->reach->end($now->state, $end)
            ?? match (true) {
                $now->state->isLanded($end) => Words::say('acts.land.it_is_landed_already'),
                isset($now->state->off[$now->reach->ownerOf($end)]) => Words::say('acts.land.that_part_is_off_put'),
                default => null,
            };
    }

    public function risks(Situation $now): array
    {
        return $now->risk->hands($now, Model::split($this->get('end'))[0], [$now->reach->drawn($this->get('end'))]);
    }

    public function apply(Situation $now): BenchState
    {
        return $now->reach->landed($now->state, $this->get('end'), true);
    }

    public function said(Names $names): string
    {
        return Words::say('acts.land.landed_the', ['end' => $names->place($this->get('end'))]);
    }
}
