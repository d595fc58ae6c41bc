<?php

namespace App\Work;

use App\Models\Assignment;
use OddSpark\Explaining\Question;
use OddSpark\Explaining\Sheet;

/** Explanations gone over: a row for each question, with the chain that was picked and one that is right. */
class ExplanationDebrief
{
    /**
     * @param list<Question> $questions
     * @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} gives it
     */
    public static function of(Sheet $sheet, array $questions, Assignment $assignment): array
    {
        $parts = array_column(json_decode($assignment->document, true)['parts'], 'label', 'id');
        $names = [];
        foreach ($assignment->sheet['pickable'] ?? [] as $one) {
            $names[$one['id']] = ($parts[$one['part']] ?? $one['part']).": {$one['title']}";
        }
        $rows = [];
        foreach ($sheet->judged as $i => $judged) {
            $question = $questions[$i];
            $picked = implode(', ', array_map(fn (string $id): string => $names[$id] ?? $id, $judged->picked));
            $rows[] = [
                'at_s' => $question->tick / 1000,
                'text' => "Why is it off: $question->title. ".($picked === '' ? 'Nothing was picked.' : "Picked: $picked."),
                'act' => 'look',
                'done' => ['at_s' => $question->tick / 1000, 'act' => 'look', 'part' => explode('.', $question->load)[0]],
                'before' => 0, 'after' => 0, 'bits_before' => 0, 'bits_after' => 0, 'gained' => 0, 'watched' => 0,
                'worth' => 0, 'share' => round($judged->share, 3), 'left' => [], 'families' => [], 'best' => [],
                'flaws' => $judged->isRight()
                    ? []
                    : [$judged->why, ...array_column($question->chains[0], 'text')],
                'dangers' => [],
            ];
        }

        return ['entries' => $rows, 'won' => [], 'lost' => [], 'same' => [], 'report' => [], 'entered' => [], 'bits' => 0];
    }
}
