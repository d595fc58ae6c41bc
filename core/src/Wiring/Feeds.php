<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

/** What each load is fed with. */
final class Feeds
{
    /** @return array<string, float> volts by "part.name": of several supplies the least */
    public static function of(Nets $nets): array
    {
        $feeds = [];
        foreach ($nets->supplies() as $supply) {
            foreach (array_keys($nets->paths($nets->root($supply['hot']), $nets->root($supply['return']))) as $load) {
                $feeds[$load] = min($feeds[$load] ?? INF, $supply['volts']);
            }
        }

        return $feeds;
    }
}
