<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Senses\Record;

/**
 * What there is to see and hear of a wiring, one stretch after the other: the long visit, and what followed on each
 * thing tried that went wrong.
 */
final class Replay
{
    /** Between two stretches, ms. */
    private const GAP = 10_000;

    /** So many of what was tried are shown. */
    private const MOST = 40;

    /** @var array<string, list<array{int, int, mixed}>> by channel */
    public array $perceived;

    /** @var array<int, int> by place in {@see Verdict::$tried}: where it begins, ms */
    public array $begins = [];

    public function __construct(Verdict $verdict, Judge $judge)
    {
        $run = $verdict->run;
        $end = $judge->end();
        $this->perceived = $run->record?->until($end) ?? [];
        foreach ($verdict->tried as $i => $tried) {
            $trying = $tried->isRight() || count($this->begins) >= self::MOST ? null : $tried->trying;
            $state = $trying?->station->of($run, Program::THROWN);
            if ($trying === null || $state === null) {
                continue;
            }
            $record = new Record();
            $trying->with($run, $state, $record);
            $this->begins[$i] = $end + self::GAP;
            $this->add($record->until($trying->ms), $this->begins[$i]);
            $end = $this->begins[$i] + $trying->ms;
        }
    }

    /** @param array<string, list<array{int, int, mixed}>> $perceived */
    private function add(array $perceived, int $from): void
    {
        foreach ($perceived as $channel => $stretches) {
            foreach ($stretches as [$begin, $end, $class]) {
                $this->perceived[$channel][] = [$from + $begin, $from + $end, $class];
            }
        }
    }
}
