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
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Ordering\Asking;
use OddSpark\Ordering\Course;
use OddSpark\Ordering\Item;
use OddSpark\Ordering\Judgement;
use OddSpark\Ordering\Sheet as Answers;
use OddSpark\Run\Memory;

/** A sequence is put in order: its steps, what proves them, where a recorded run stopped, and a chart set right. */
class Ordering extends Picking
{
    public function most(): int
    {
        return 12;
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
        $course = new Course($plan, $visit);
        $asking = new Asking($course, $visit, $seed);
        $shown = $is->id === Fault::HEALTHY ? null : $is;
        if (! $asking->isAnything()) {
            throw new WorkError('Nothing follows on a call in this appliance that could be put in order.');
        }
        if ($shown !== null && ! $asking->isStopping($shown)) {
            throw new WorkError(
                'This fault does not stop a call on its way, so that there is no stopped run to show. '.
                'Pick another, or “Healthy”: then runs are shown of faults that do.',
            );
        }
        $past = Told::channels(new Bench($plan, Fault::none(), new Memory()), $course->perceived);
        $sheet = [
            'fault' => null, // the runs that are shown are another appliance's
            'asked' => array_map(fn (Item $i): array => $i->toArray(), $asking->items($asked->many, $shown)),
            'past' => json_decode((string) json_encode($past), true),
        ];

        // it stands there sound: what is asked of a fault is its record alone
        return Frozen::of($appliance, $arrivals, Fault::HEALTHY, $sheet);
    }

    public function soFar(Attempt $attempt): ?string
    {
        return $attempt->entries_count > 0 ? "Questions answered: $attempt->entries_count." : null;
    }

    public function hintsAt(array $asked): array
    {
        return Item::of($asked)->hints();
    }

    protected function judge(array $sheet, array $asked, array $picked): array
    {
        $of = Item::of($asked);
        if (! $of->takes($picked)) {
            throw new ActError('/picked', $of->isOrder() ? 'Put all the steps in order.' : 'Pick one of the answers.');
        }

        return $of->judge($picked)->toArray();
    }

    public function page(Attempt $attempt): array
    {
        $sheet = Predictions::sheet($attempt);
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');

        return ['Order', [
            'rows' => array_map(fn (array $asked, int $item): array => [
                'sort' => $asked['sort'], 'prompt' => $asked['prompt'],
                'choices' => array_map(
                    fn (array $choice): array => array_diff_key($choice, ['key' => 1]),
                    $asked['choices'],
                ),
                'lanes' => array_map(
                    fn (array $lane): array => array_diff_key($lane, ['id' => 1]),
                    $asked['lanes'],
                ),
                'until_s' => $asked['until'] / 1000,
                'said' => isset($said[$item]) ? self::told($attempt, $said[$item]) : null,
                'hints' => array_values(array_slice($this->hintsAt($asked), 0, $said[$item]->hints ?? 0)),
            ], $sheet['asked'], array_keys($sheet['asked'])),
        ]];
    }

    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');
        $items = array_map(Item::of(...), $assignment->sheet['asked'] ?? []);
        $judged = array_map(
            /** @return array{Item, Judgement} */
            fn (Item $item, int $i): array => [$item, $item->judge($said[$i]->judgement['picked'] ?? [])],
            $items,
            array_keys($items),
        );
        assert($judged !== []); // a job without questions is not given
        $sheet = new Answers($judged, Prediction::hintsTaken($said));

        return [$sheet->mark(...), fn (): array => OrderDebrief::of($sheet)];
    }
}
