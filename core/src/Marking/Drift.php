<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\Wording;

/**
 * Whether today's computation would show an old attempt what it was shown: the log is run again, and every entry
 * that differs is told. What was shown then stays as fact.
 */
final readonly class Drift
{
    /**
     * @param Bench $bench as it was worked at, with its seed
     * @return list<array{entry: int, shown: string, now: string}>
     */
    public static function of(Bench $bench, Observations $seen): array
    {
        $state = $bench->arrive($seen->visit)->state;
        $state = $bench->resume($state);
        $wording = new Wording($bench->plan->model);
        $apart = [];
        foreach ($seen->entries as $i => [$act, $shown]) {
            [$state, $now] = $bench->do($state, $act);
            if ($act->name !== 'hint' && self::words($shown) !== self::words($now)) {
                $apart[] = [
                    'entry' => $i,
                    'shown' => $wording->entry($act, $shown),
                    'now' => $wording->entry($act, $now),
                ];
            }
        }

        return $apart;
    }

    /** @return array<mixed> */
    private static function words(Outcome $outcome): array
    {
        return [$outcome->refused, $outcome->seen, $outcome->reading?->text()];
    }
}
