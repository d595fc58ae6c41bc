<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Words\Words;

/** What the same places show at another moment of the sequence: the nearest first. */
final readonly class OtherMoment implements Mistake
{
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        $ticks = array_keys($now->at);
        usort($ticks, fn (int $a, int $b) => abs($a - $asked->tick) <=> abs($b - $asked->tick));
        $figures = [];
        foreach ($ticks as $tick) {
            if ($tick !== $asked->tick) {
                $figures[] = [
                    $now->at[$tick]->reads($asked->mode, $asked->red, $asked->black),
                    Words::say('predicting.mistake.moment', ['moment' => $now->titles[$tick]]),
                ];
            }
        }

        return $figures;
    }
}
