<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * A switch taken for a load: volts expected across one that is made, and none across one that is open.
 *
 * @phpstan-import-type Element from Nets
 */
final readonly class SwitchTurnedRound implements Mistake
{
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        $way = self::between($now->nets, $asked->red, $asked->black);
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

    /** @return list<Element> the switches between two conductors, the fewest; none where there is no such way */
    public static function between(Nets $nets, string $red, string $black): array
    {
        [$from, $to] = [$nets->root($red), $nets->root($black)];
        if ($from === $to) {
            return [];
        }
        $ways = [$from => []];
        $queue = [$from];
        while ($queue !== []) {
            $at = array_shift($queue);
            foreach ($nets->elements() as $e) {
                [$a, $b] = [$nets->root($e['a']), $nets->root($e['b'])];
                $next = $a === $at ? $b : ($b === $at ? $a : null);
                if ($e['load'] || $next === null || isset($ways[$next])) {
                    continue;
                }
                $ways[$next] = [...$ways[$at], $e];
                if ($next === $to) {
                    return $ways[$next];
                }
                $queue[] = $next;
            }
        }

        return [];
    }
}
