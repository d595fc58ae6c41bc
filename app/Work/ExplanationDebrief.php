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
            $rows[] = DebriefRow::of(
                $question->tick / 1000,
                "Why is it off: $question->title. ".($picked === '' ? 'Nothing was picked.' : "Picked: $picked."),
                ['act' => 'look', 'part' => explode('.', $question->load)[0]],
                $judged->share,
                $judged->isRight() ? [] : [$judged->why, ...array_column($question->chains[0], 'text')],
            );
        }

        return DebriefRow::debrief($rows);
    }
}
