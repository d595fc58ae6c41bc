<?php

declare(strict_types=1);

namespace OddSpark\Acts\Wires;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** A wire put in to stay, from one place to another: beside what was there, or to a part that was not. */
final readonly class RunWire extends Act
{
    public const NAME = 'run_wire';

    public const TITLE = 'Running new wires';

    public const MINUTES = 8.0;

    public const QUALITIES = [
        Quality::Fits, Quality::Touches, Quality::Mends, Quality::Restores, Quality::Barrable,
    ];

    /** Wires that a person puts in on one visit. */
    private const MOST = 40;

    public static function fields(): array
    {
        return ['from' => Field::place(), 'to' => Field::place()];
    }

    public function refusal(Situation $now): ?string
    {
        [$from, $to] = [$this->get('from'), $this->get('to')];

        return $now->reach->place($now->state, $from, 'The wire') ??
            $now->reach->place($now->state, $to, 'The wire') ??
                match (true) {
                    $from === $to => 'Both ends on one place join nothing.',
                    Jumper::isThere($now->state, $from, $to) => 'These two are connected already.',
                    count($now->state->wired) >= self::MOST => 'The coil of wire is used up.',
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
        return "Ran a wire from {$names->place($this->get('from'))} to {$names->place($this->get('to'))}";
    }
}
