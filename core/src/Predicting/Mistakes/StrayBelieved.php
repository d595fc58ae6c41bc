<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Words\Words;

/** A conductor that nothing feeds, taken for one that is: a meter shows what a cable couples into it. */
final readonly class StrayBelieved implements Mistake
{
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        return $now->at[$asked->tick]->isStray($asked->mode, $asked->red, $asked->black)
            ? array_map(
                fn (array $s): array => [$s['volts'], Words::say('predicting.mistake.stray')],
                $now->nets->supplies(),
            )
            : [];
    }
}
