<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Analyses;
use OddSpark\Words\Words;

/** Carbon monoxide in the air of the room, on the meter that one carries. */
final readonly class RoomAir extends Act
{
    public const NAME = 'room_air';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Asks];

    /** How much of the flue's is in the air beside an appliance that spills. From memory. */
    private const DILUTED = 0.15;

    public static function fields(): array
    {
        return [];
    }

    public function shows(Situation $now): array
    {
        $most = 0.0;
        $spills = $now->noticing->perception->smells($now->machine, $now->state, 'spills');
        foreach ($now->plan->those(Analyses::class) as $id) {
            $most = max($most, (float) ($now->state->slots[$id]['co'] ?? 0.0));
            $spills = $spills || ($now->state->slots[$id]['spills'] ?? false) === true;
        }
        $ppm = $spills ? $most * self::DILUTED : 0.0;

        return ['carbon monoxide' => Words::say('acts.room_air.ppm', [
            'ppm' => $ppm < 10 ? round($ppm) : round($ppm / 5) * 5,
        ])];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.room_air.read_the_air_of_the');
    }
}
