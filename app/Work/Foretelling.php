<?php

namespace App\Work;

use App\Bench\PredictionDebrief;
use App\Bench\Predictions;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Prediction;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\FaultSet;

/** Readings are said before they are taken, on a sheet. */
class Foretelling extends Sheet
{
    public function most(): int
    {
        return Predictions::MOST;
    }

    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $arrivals = $this->plans->arrivals($plan, $visit);
        $is = FaultSet::of($plan->model)->get($fault);

        $sheet = Predictions::choose($plan, $is, $visit, $asked->many, $seed);

        return Frozen::of($appliance, $arrivals, $fault, $sheet);
    }

    public function soFar(Attempt $attempt): ?string
    {
        return $attempt->entries_count > 0 ? "Readings said: $attempt->entries_count." : null;
    }

    public function hintsAt(array $asked): array
    {
        return $asked['hints'];
    }

    public function page(Attempt $attempt): array
    {
        $sheet = Predictions::sheet($attempt);
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');

        return ['Predict', [
            'fault' => $sheet['fault'],
            'rows' => array_map(fn (array $asked, int $item): array => [
                'at_s' => $asked['at_s'], 'when' => $asked['when'], 'told' => $asked['told'], 'mode' => $asked['mode'],
                'red' => $asked['red'], 'black' => $asked['black'],
                'red_name' => $asked['red_name'], 'black_name' => $asked['black_name'],
                'said' => isset($said[$item]) ? self::told($attempt, $said[$item]) : null,
                'hints' => array_values(array_slice($asked['hints'], 0, $said[$item]->hints ?? 0)),
            ], $sheet['asked'], array_keys($sheet['asked'])),
        ]];
    }

    /**
     * What was said; in an examination what became of it is told when the sheet is handed in.
     *
     * @return array<string, mixed>|null
     */
    public static function told(Attempt $attempt, Prediction $prediction): ?array
    {
        $judgement = $prediction->judgement;
        if ($judgement === null) {
            return null;
        }
        $isTold = $attempt->assignment->kind->hasHints();

        return [
            'figure' => $judgement['said'],
            'right' => $isTold ? $judgement['right'] : null,
            'shown' => $isTold ? $judgement['shown']['text'] : null,
            'why' => $isTold ? $judgement['why'] : null,
        ];
    }

    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        $sheet = Predictions::filled($attempt, $assignment);

        return [$sheet->mark(...), fn (): array => PredictionDebrief::of($sheet, $assignment)];
    }
}
