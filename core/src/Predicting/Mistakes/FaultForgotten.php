<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Words\Words;

/** What the sound appliance would show at that moment. */
final readonly class FaultForgotten implements Mistake
{
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        if ($now->fault->id === $sound->fault->id) {
            return [];
        }
        $figure = $sound->at[$asked->tick]->reads($asked->mode, $asked->red, $asked->black);

        return [[$figure, Words::say('predicting.mistake.fault')]];
    }
}
