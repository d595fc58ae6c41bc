<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Words\Words;

/** A switch taken for a load: volts expected across one that is made, and none across one that is open. */
final readonly class SwitchTurnedRound implements Mistake
{
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        $way = $now->nets->switchesBetween($asked->red, $asked->black);
        $standing = $now->at[$asked->tick];
        $open = $made = [];
        foreach ($way as $e) {
            $id = "{$e['part']}.{$e['name']}";
            $slot = $standing->site->state->slots[$id] ?? [];
            foreach (['closed', 'whole'] as $key) {
                if (is_bool($slot[$key] ?? null)) {
                    $slot[$key] ? $made[$id] = [$key, $e] : $open[$id] = [$key, $e];
                    break;
                }
            }
        }
        if ($open === [] && $made === []) {
            return [];
        }
        // a string reads as made only with all of it made; one that opens is enough to open it
        $turned = $open === [] ? array_slice($made, -1) : $open;
        $otherwise = array_map(fn (array $t): array => [$t[0] => $open !== []], $turned);

        $title = ['switch' => $now->nets->title(reset($turned)[1])];

        return [[
            $standing->reads($asked->mode, $asked->red, $asked->black, $otherwise),
            $open === []
                ? Words::say('predicting.mistake.switch_made', $title)
                : Words::say('predicting.mistake.switch_open', $title),
        ]];
    }
}
