<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

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

        return $now->reach->place($now->state, $from, 'The clip') ??
            ($now->reach->place($now->state, $to, 'The clip') ??
                match (true) {
                    $from === $to => 'Both clips on one place join nothing.',
                    ! Jumper::isThere($now->state, $from, $to) => 'There is no jumper there, and no new wire.',
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
        return "Took the jumper or wire off {$names->place($this->get('from'))} and {$names->place($this->get('to'))}";
    }
}
