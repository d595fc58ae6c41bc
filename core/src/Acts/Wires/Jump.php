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

/** A clip lead from one place to another. */
final readonly class Jump extends Act
{
    public const NAME = 'jump';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Forces, Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['from' => Field::place(), 'to' => Field::place()];
    }

    /** Jumpers in the bag. */
    private const MOST = 6;

    public function refusal(Situation $now): ?string
    {
        [$from, $to] = [$this->get('from'), $this->get('to')];
        $clips = count($now->state->jumpers) - count($now->state->wired);

        return $now->reach->place($now->state, $from, Words::say('acts.jump.the_clip')) ??
            ($now->reach->place($now->state, $to, Words::say('acts.jump.the_clip')) ??
                match (true) {
                    $from === $to => Words::say('acts.jump.both_clips_on_one_place'),
                    Jumper::isThere($now->state, $from, $to) => Words::say('acts.jump.there_is_a_jumper_there'),
                    $clips >= self::MOST => Words::say('acts.jump.all_six_jumpers_of_the'),
                    default => null,
                });
    }

    public function risks(Situation $now): array
    {
        [$from, $to] = [$this->get('from'), $this->get('to')];

        return [...$now->risk->touched($now, [$from, $to]), ...$now->risk->bridged($now, $from, $to)];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(jumpers: [...$now->state->jumpers, [$this->get('from'), $this->get('to')]]);
    }

    public function said(Names $names): string
    {
        return Words::say('acts.jump.jumper_from_to', [
            'from' => $names->place($this->get('from')),
            'to' => $names->place($this->get('to')),
        ]);
    }
}
