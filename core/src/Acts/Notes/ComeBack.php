<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Act;
use OddSpark\Acts\Leaving;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** Gone for the night, and back the next morning: the appliance is left to itself. */
final readonly class ComeBack extends Act
{
    public const NAME = 'come_back';

    /** Of a second way there. Common practice, no source. */
    public const MINUTES = 30.0;

    /** From the evening to the morning, ms. */
    public const NIGHT = 14 * 3_600_000;

    /** Nights in one job: every suspect is run through each. */
    private const MOST = 3;

    /** What may stay so for a night: the household knows. */
    private const AGREED = ['setting-left'];

    public static function fields(): array
    {
        return [];
    }

    public function refusal(Situation $now): ?string
    {
        $state = $now->state;
        if ($state->nights >= self::MOST) {
            return Words::say('acts.come_back.no_more_nights', ['most' => self::MOST]);
        }

        return $state->red !== null || $state->black !== null || $state->clamp !== null || $state->taps !== []
            ? Words::say('acts.come_back.take_your_instruments_off')
            : null;
    }

    public function risks(Situation $now): array
    {
        return array_values(array_diff((new Leaving())->behind($now), self::AGREED));
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(eyes: null, away: $now->state->now() + self::NIGHT, nights: $now->state->nights + 1);
    }

    public function passes(): int
    {
        return self::NIGHT;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.come_back.came_back_the_next_morning');
    }
}
