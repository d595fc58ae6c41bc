<?php

namespace App\Work;

use OddSpark\Ordering\Sheet;

/** Questions of a sequence gone over: a row for each, with what was picked and what is so. */
class OrderDebrief
{
    /** @return array<string, mixed> as {@see \OddSpark\Marking\Debrief::toArray} gives it */
    public static function of(Sheet $sheet): array
    {
        $rows = [];
        foreach ($sheet->judged as [$item, $judgement]) {
            $texts = array_column($item->choices, 'text', 'id');
            $say = fn (array $ids): string => implode(' → ', array_map(fn (string $id): string => $texts[$id], $ids));
            $picked = $judgement->picked === [] ? 'No answer.' : "Answer: {$say($judgement->picked)}.";
            $rows[] = DebriefRow::of(
                $item->at / 1000,
                "$item->prompt $picked",
                ['act' => 'look'],
                $judgement->share,
                $judgement->isRight() ? [] : array_values(array_filter([
                    $judgement->why,
                    $item->isOrder() ? "The order: {$say($item->right)}." : $item->told,
                ])),
            );
        }

        return DebriefRow::debrief($rows);
    }
}
