<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Words\Words;

/** Two lines that both have volts to ground, added or taken from each other as if they were of one phase. */
final readonly class PhaseForgotten implements Mistake
{
    /** Share of a supply's volts that a leg of it has to ground at least. */
    private const LEG = 0.4;

    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        $ground = $now->nets->grounds()[0]['place'] ?? null;
        $line = array_filter($now->nets->supplies(), fn (array $s): bool => $s['class'] === 'line');
        if ($ground === null || $line === [] || ! isset($now->plan->places[$ground])) {
            return [];
        }
        $standing = $now->at[$asked->tick];
        $red = $standing->reads($asked->mode, $asked->red, $ground);
        $black = $standing->reads($asked->mode, $asked->black, $ground);
        if (min($red, $black) < self::LEG * max(array_column($line, 'volts'))) {
            return [];
        }

        $why = Words::say('predicting.mistake.phase');

        return [[abs($red - $black), $why], [$red + $black, $why]];
    }
}
