<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Schema;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A wire put in to stay, from one place to another: beside what was there, or to a part that was not. */
final readonly class RunWire extends Act
{
    public const NAME = 'run_wire';

    public const MINUTES = 8.0;

    public const QUALITIES = [
        Quality::Fits, Quality::Touches, Quality::Mends, Quality::Restores, Quality::Barrable,
    ];

    /** Wires that a person puts in on one visit. */
    private const MOST = 200;

    public static function fields(): array
    {
        return [
            'from' => Field::place(),
            'to' => Field::place(),
            'colour' => Field::oneOf(...Schema::wireColours())->optional(),
            'awg' => Field::whole(4, 24)->optional(),
            'mm2' => Field::between(0.2, 25)->optional(),
        ];
    }

    public function refusal(Situation $now): ?string
    {
        [$from, $to] = [$this->get('from'), $this->get('to')];

        return $now->reach->place($now->state, $from, Words::say('acts.run_wire.the_wire')) ??
            $now->reach->place($now->state, $to, Words::say('acts.run_wire.the_wire')) ??
                match (true) {
                    $from === $to => Words::say('acts.run_wire.both_ends_on_one_place'),
                    Jumper::isThere($now->state, $from, $to) => Words::say('acts.run_wire.connected_already'),
                    count($now->state->wired) >= self::MOST => Words::say('acts.run_wire.the_coil_of_wire_is'),
                    default => null,
                };
    }

    public function risks(Situation $now): array
    {
        [$from, $to] = [$this->get('from'), $this->get('to')];

        return [...$now->risk->touched($now, [$from, $to]), ...$now->risk->bridged($now, $from, $to)];
    }

    public function apply(Situation $now): BenchState
    {
        $wire = [$this->get('from'), $this->get('to')];

        return $now->state->with(
            jumpers: [...$now->state->jumpers, $wire],
            wired: [...$now->state->wired, $wire],
            resets: [],
        );
    }

    public function said(Names $names): string
    {
        return Words::say('acts.run_wire.ran_a_wire_from_to', [
            'from' => $names->place($this->get('from')),
            'to' => $names->place($this->get('to')),
        ]);
    }
}
