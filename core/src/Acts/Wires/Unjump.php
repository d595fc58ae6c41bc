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

/** A jumper taken off, one's own or another's. */
final readonly class Unjump extends Act
{
    public const NAME = 'unjump';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return ['from' => Field::place(), 'to' => Field::place()];
    }

    public function refusal(Situation $now): ?string
    {
        [$from, $to] = [$this->get('from'), $this->get('to')];

        return $now->reach->place($now->state, $from, Words::say('acts.unjump.the_clip')) ??
            ($now->reach->place($now->state, $to, Words::say('acts.unjump.the_clip')) ??
                match (true) {
                    $from === $to => Words::say('acts.unjump.both_clips_on_one_place'),
                    ! Jumper::isThere($now->state, $from, $to) => Words::say('acts.unjump.there_is_no_jumper_there'),
                    default => null,
                });
    }

    public function apply(Situation $now): BenchState
    {
        $without = fn (array $jumpers): array => array_values(
            array_filter($jumpers, fn (array $j): bool => ! Jumper::joins($j, $this->get('from'), $this->get('to'))),
        );

        return $now->state->with(
            jumpers: $without($now->state->jumpers),
            wired: $without($now->state->wired),
            earlier: $without($now->state->earlier),
        );
    }

    public function said(Names $names): string
    {
        return Words::say('acts.unjump.took_the_jumper_or_wire', [
            'from' => $names->place($this->get('from')),
            'to' => $names->place($this->get('to')),
        ]);
    }
}
