<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\ClampMeter;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The jaw of the clamp closed round wires, or taken off. */
final readonly class ClampRound extends Act
{
    public const NAME = 'clamp';

    public const MINUTES = ClampMeter::MINUTES;

    public const QUALITIES = [Quality::Asks, Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['wires' => Field::wires(12), 'turns' => Field::whole(1, 20)->optional()];
    }

    public function refusal(Situation $now): ?string
    {
        foreach ($this->get('wires') as $wire) { // at least one of its ends can be got at
            if ($now->model->wire($wire) === null) {
                return Words::say('acts.clamp_round.there_is_no_wire_called', ['wire' => $wire]);
            }
            if (! $now->reach->reaches($now->state, "$wire.a") && ! $now->reach->reaches($now->state, "$wire.b")) {
                return $now->reach->part($now->state, $wire);
            }
        }

        return null;
    }

    public function apply(Situation $now): BenchState
    {
        $wires = $this->get('wires');

        return $now->state->with(
            clamp: $wires === [] ? null : ['wires' => $wires, 'turns' => $this->get('turns') ?? 1],
        );
    }

    public function reads(): string
    {
        return ClampMeter::KEY;
    }

    public function said(Names $names): string
    {
        return $this->get('wires') === []
            ? Words::say('acts.clamp_round.clamp_off')
            : Words::say('acts.clamp_round.clamp_round', [
                'wires' => implode(' and ', array_map($names->part(...), $this->get('wires'))),
                'words' => ($this->get('turns') ?? 1) > 1 ? Words::say('acts.clamp_round.turns', [
                    'turns' => $this->get('turns'),
                ]) : '',
            ]);
    }
}
