<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Sites;
use OddSpark\Words\Words;

/**
 * A pull at the end of a wire, to see which end moves where it comes out of its loom or cable again. A conductor that
 * is broken inside its insulation moves all the same: what is copper, the meter tells.
 */
final readonly class Tug extends Act
{
    public const NAME = 'tug';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['end' => Field::wireEnd()];
    }

    public function refusal(Situation $now): ?string
    {
        $end = $this->get('end');

        return $now->model->isWireEnd($end)
            ? $now->reach->end($now->state, $end)
            : Words::say('acts.tug.there_is_no_wire_end', ['end' => $end]);
    }

    public function shows(Situation $now): array
    {
        [$wire, $end] = Model::split($this->get('end'));
        $far = "$wire.".($end === 'a' ? 'b' : 'a');
        $shown = ['other end' => $this->moves($now, $this->get('end'), $far)];
        $felt = $now->noticing->sick($now->state, $wire)?->signs->felt;

        return $felt === null ? $shown : $shown + ['touch' => $felt];
    }

    private function moves(Situation $now, string $near, string $far): string
    {
        $on = $now->reach->hangsOn($now->state, $far);
        [$here, $there] = [$now->model->partAt($near), Model::split($on)[0]];
        $colour = $now->model->wires()[Model::split($far)[0]]->colour;

        return match (true) {
            $now->reach->behind($now->state, $there) !== null => Words::say('acts.tug.is_behind_a_door_that'),
            Sites::of($now->model)->areApart($here, $there) => Words::say('acts.tug.is_too_far_away_to'),
            ! $now->state->isLanded($far) => Words::say('acts.tug.a_loose_wire_moves_near', [
                'colour' => $colour,
                'place_name' => $now->model->placeName($on),
            ]),
            default => Words::say('acts.tug.the_wire_at_moves', [
                'colour' => $colour,
                'place_name' => $now->model->placeName($on),
            ]),
        };
    }

    public function said(Names $names): string
    {
        return Words::say('acts.tug.tugged_at_the', ['end' => $names->place($this->get('end'))]);
    }
}
