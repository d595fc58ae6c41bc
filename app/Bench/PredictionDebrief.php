<?php

namespace App\Bench;

use App\Models\Assignment;
use OddSpark\Predicting\Judgement;
use OddSpark\Predicting\Sheet;

/** A filled-in sheet gone over: a row for each reading, as the debrief has them of entries at the bench. */
class PredictionDebrief
{
    /** @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} gives it */
    public static function of(Sheet $sheet, Assignment $assignment): array
    {
        $rows = [];
        foreach ($sheet->judged as $i => $judged) {
            $rows[] = self::row($judged, $assignment->sheet['asked'][$i] ?? []);
        }

        return ['entries' => $rows, 'won' => [], 'lost' => [], 'same' => [], 'report' => [], 'entered' => [], 'bits' => 0];
    }

    /**
     * @param array<string, mixed> $asked
     * @return array<string, mixed>
     */
    private static function row(Judgement $judged, array $asked): array
    {
        $unit = $judged->asked->mode->specification()->unit;
        $said = match (true) {
            $judged->said === null => 'nothing said',
            is_infinite($judged->said) => 'said OL',
            default => "said $judged->said $unit",
        };

        return [
            'at_s' => $judged->asked->tick / 1000,
            'text' => "{$asked['red_name']} to {$asked['black_name']}, {$asked['when']}: $said, shows {$judged->shown->text()}",
            'act' => 'leads',
            'done' => [
                'at_s' => $judged->asked->tick / 1000, 'act' => 'leads',
                'red' => $judged->asked->red, 'black' => $judged->asked->black,
            ],
            'before' => 0, 'after' => 0, 'bits_before' => 0, 'bits_after' => 0, 'gained' => 0, 'watched' => 0,
            'worth' => 0, 'share' => $judged->isRight ? 1 : 0, 'left' => [], 'families' => [], 'best' => [],
            'flaws' => $judged->isRight ? [] : [$judged->why],
            'dangers' => $judged->calledDead ? ['Called dead, and it is live.'] : [],
        ];
    }
}
