<?php

namespace App\Work;

use App\Bench\Predictions;
use App\Bench\Told;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Prediction;
use App\Tasks\WorkError;
use OddSpark\Acts\ActError;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Preview;
use OddSpark\Explaining\Asking;
use OddSpark\Explaining\Judgement;
use OddSpark\Explaining\Question;
use OddSpark\Explaining\Sheet as Explanations;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;

/** It is explained why loads are off: the chain of conditions is picked, from the load to where it begins. */
class Explaining extends Picking
{
    private const LONGEST = 20;

    public function most(): int
    {
        return 8;
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
        $asking = new Asking($plan, $is, $visit);
        $questions = $asking->questions($asked->many, $seed);
        if ($questions === []) {
            throw new WorkError('Nothing is off in this appliance that could be explained. Pick a fault.');
        }
        $last = $questions[count($questions) - 1]->tick;
        $sheet = [
            'fault' => $is->id === Fault::HEALTHY ? null : $is->title,
            'asked' => array_map(fn (Question $q): array => $q->toArray(), $questions),
            'pickable' => $asking->pickable(),
            'past' => self::perceived($plan, $is, $visit, $last),
        ];

        return Frozen::of($appliance, $arrivals, $fault, $sheet);
    }

    public function soFar(Attempt $attempt): ?string
    {
        return $attempt->entries_count > 0 ? "Explanations given: $attempt->entries_count." : null;
    }

    public function hintsAt(array $asked): array
    {
        return Question::of($asked)->hints();
    }

    protected function judge(array $sheet, array $asked, array $picked): array
    {
        $known = array_column($sheet['pickable'] ?? [], 'id');
        if (array_diff($picked, $known) !== [] || count($picked) > self::LONGEST) {
            throw new ActError('/picked', 'A chain is picked of what this appliance is made of, '.self::LONGEST.' at most.');
        }

        return Question::of($asked)->judge($picked)->toArray();
    }

    public function page(Attempt $attempt): array
    {
        $sheet = Predictions::sheet($attempt);
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');

        return ['Explain', [
            'fault' => $sheet['fault'],
            'pickable' => $sheet['pickable'] ?? [],
            'past' => ['perceived' => (object) $sheet['past']['perceived']] + $sheet['past'],
            'rows' => array_map(fn (array $asked, int $item): array => [
                'at_s' => $asked['tick'] / 1000, 'load' => $asked['load'], 'title' => $asked['title'],
                'said' => isset($said[$item]) ? self::told($attempt, $said[$item]) : null,
                'hints' => array_values(array_slice($this->hintsAt($asked), 0, $said[$item]->hints ?? 0)),
            ], $sheet['asked'], array_keys($sheet['asked'])),
        ]];
    }

    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');
        $questions = array_map(Question::of(...), $assignment->sheet['asked'] ?? []);
        $judged = array_map(
            fn (Question $q, int $i): Judgement => $q->judge($said[$i]->judgement['picked'] ?? []),
            $questions,
            array_keys($questions),
        );
        assert($judged !== []); // a job without questions is not given
        $sheet = new Explanations($judged, Prediction::hintsTaken($said));

        return [$sheet->mark(...), fn (): array => ExplanationDebrief::of($sheet, $questions, $assignment)];
    }

    /** @return array<string, mixed> what there is to see and hear up to the last question */
    private static function perceived(Plan $plan, Fault $fault, string $visit, int $until): array
    {
        $preview = Preview::of($plan, $fault, $visit, $until);

        return json_decode((string) json_encode(Told::channels($preview->bench, $preview->perceived)), true);
    }
}
