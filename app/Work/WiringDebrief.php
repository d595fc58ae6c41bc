<?php

namespace App\Work;

use App\Bench\Told;
use OddSpark\Bench\Bench;
use OddSpark\Drawing\Board;
use OddSpark\WiringUp\Replay;
use OddSpark\WiringUp\Tried;
use OddSpark\WiringUp\Verdict;

/** A wiring gone over: a row for each load, and for each thing tried that went wrong, with when to look at it. */
class WiringDebrief
{
    /** So long after it has changed one looks, ms. */
    private const SEEN = 1000;

    /** @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} gives it, with board and past */
    public static function of(Verdict $verdict, Replay $replay, Bench $bench): array
    {
        $rows = [];
        foreach ($verdict->visited as $tried) {
            if ($tried->counts || ! $tried->isRight()) {
                $rows[] = self::row($tried, ($tried->at + self::SEEN) / 1000, $verdict);
            }
        }
        usort($rows, fn (array $x, array $y): int => $x['at_s'] <=> $y['at_s']);
        foreach ($replay->begins as $i => $begins) {
            $tried = $verdict->tried[$i];
            $rows[] = self::row($tried, ($begins + ($tried->otherwise[0]['at'] ?? 0) + self::SEEN) / 1000, $verdict);
        }

        return DebriefRow::debrief($rows) + [
            'board' => Board::of($verdict->wired),
            'past' => json_decode((string) json_encode(Told::channels($bench, $replay->perceived)), true),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(Tried $tried, float $at, Verdict $verdict): array
    {
        $load = $tried->otherwise[0]['load'] ?? null;
        $terminals = $load === null ? null : $verdict->run->loads->terminals($load);

        return DebriefRow::of(
            $at,
            $tried->title,
            ['act' => 'leads', 'red' => $terminals[0] ?? null, 'black' => $terminals[1] ?? null],
            $tried->isRight() ? 1.0 : 0.0,
            $tried->sentences(),
            $tried->isUnsafe ? ['Something goes on that this safety should stop.'] : [],
        );
    }
}
