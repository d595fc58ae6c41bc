<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Prediction;
use App\Work\OnSheet;
use Illuminate\Support\Facades\DB;
use OddSpark\Acts\ActError;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Marking\Rules;
use OddSpark\Predicting\Answer;
use OddSpark\Predicting\Judge;
use OddSpark\Predicting\Proposal;
use OddSpark\Predicting\Sheet;
use OddSpark\Run\Memory;

/**
 * Sheets of readings that are said before they are taken: chosen and frozen with a job, filled in, judged.
 *
 * What a meter shows is in the job and goes to nobody before he has said what it will; in an examination not before he
 * has handed the sheet in.
 *
 * @phpstan-type Frozen array{fault: string|null, asked: list<array<string, mixed>>, past: array<string, mixed>, ...}
 */
class Predictions
{
    public const MOST = 24;

    public const USUAL = 8;

    /** An ordinary meter shows no more, of volts or of millivolts. */
    private const LARGEST = 100_000.0;

    /**
     * What is asked in a job, with its answers.
     *
     * @return Frozen
     */
    public static function choose(Plan $plan, Fault $fault, string $visit, int $count, int $seed): array
    {
        $judge = new Judge($plan, $fault, $visit);
        $asked = [];
        foreach ((new Proposal($judge))->of($count, $seed) as $answer) {
            $of = $answer->asked;
            $asked[] = $answer->toArray() + [
                'when' => $judge->now->titles[$of->tick],
                'told' => $judge->now->at[$of->tick]->told,
                'red_name' => $plan->model->placeName($of->red),
                'black_name' => $plan->model->placeName($of->black),
            ];
        }

        $past = Told::channels(new Bench($plan, $fault, new Memory()), $judge->now->perceived);

        return [
            'fault' => $fault->id === Fault::HEALTHY ? null : $fault->title, 'asked' => $asked,
            'past' => json_decode((string) json_encode($past), true),
        ];
    }

    /**
     * Says what a meter will show; what was said stands.
     *
     * @param float|null $figure null: OL
     *
     * @throws ActError when there is no such reading on the sheet, or the figure is none
     * @throws StaleAttempt when the sheet is handed in
     */
    public function say(Attempt $attempt, int $item, ?float $figure): Prediction
    {
        if ($figure !== null && abs($figure) > self::LARGEST) {
            throw new ActError('/said', 'No meter shows that much. Say it in the unit that is asked for.');
        }

        return $this->at($attempt, $item, function (Attempt $attempt, Prediction $is, array $asked) use (
            $figure,
        ): void {
            if ($is->judgement === null) { // said twice is said once, as it was first
                $attempt->increment('entries_count');
                $is->judgement = Answer::of($asked)->judge($figure ?? INF)->toArray();
            }
        });
    }

    /**
     * The next hint at a reading, each grade telling more; once all are given the last again.
     *
     * @return array{Prediction, string} with what it says
     *
     * @throws ActError when there are none in this job, or the reading was said already
     * @throws StaleAttempt when the sheet is handed in
     */
    public function hint(Attempt $attempt, int $item): array
    {
        $text = '';
        $prediction = $this->at($attempt, $item, function (Attempt $attempt, Prediction $is, array $asked) use (
            &$text,
        ): void {
            if (! $attempt->assignment->kind->hasHints()) {
                throw new ActError('/', 'There are no hints in an examination.');
            }
            if ($is->judgement !== null) {
                throw new ActError('/item', 'This was answered already.');
            }
            $is->hints = min($is->hints + 1, count(Rules::HINTS));
            $kind = $attempt->assignment->work->kind();
            $text = $kind instanceof OnSheet ? $kind->hintsAt($asked)[Rules::HINTS[$is->hints - 1]] : '';
        });

        return [$prediction, $text];
    }

    /**
     * Something done at an item of a sheet that is open.
     *
     * @param callable(Attempt, Prediction, array<string, mixed>): void $do with the item as the job keeps it
     *
     * @throws ActError when there is no such item
     * @throws StaleAttempt when the sheet is handed in
     */
    public function at(Attempt $attempt, int $item, callable $do): Prediction
    {
        return DB::transaction(function () use ($attempt, $item, $do): Prediction {
            $attempt = Attempt::query()->with('assignment')->lockForUpdate()->findOrFail($attempt->id);
            if (! $attempt->isOpen()) {
                throw new StaleAttempt('This sheet is handed in. Its debrief is open to you.');
            }
            if ($attempt->stopped_at !== null) {
                throw new ActError('/', Workbench::STOPPED);
            }
            $asked = self::sheet($attempt)['asked'][$item] ?? null;
            if ($asked === null) {
                throw new ActError('/item', 'There is no such item on this sheet.');
            }
            $of = ['attempt_id' => $attempt->id, 'item' => $item];
            $prediction = Prediction::query()->firstOrNew($of, ['hints' => 0]);
            $do($attempt, $prediction, $asked);
            $prediction->save();

            return $prediction;
        });
    }

    /** @return Frozen */
    public static function sheet(Attempt $attempt): array
    {
        return Assignment::query()->select(['id', 'sheet'])->findOrFail($attempt->assignment_id)->sheet
            ?? ['fault' => null, 'asked' => [], 'past' => ['perceived' => [], 'meter' => []]];
    }

    /** Hands the sheet in as it stands; tells whether that was done now. */
    public static function close(Attempt $attempt): bool
    {
        return Attempt::query()->whereKey($attempt->id)->whereNull('handed_back_at')
            ->update(['handed_back_at' => now()]) > 0;
    }

    /** The sheet as it was filled in. */
    public static function filled(Attempt $attempt, Assignment $assignment): Sheet
    {
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');
        $judged = [];
        foreach ($assignment->sheet['asked'] ?? [] as $i => $asked) {
            $was = $said[$i]->judgement ?? null;
            $figure = $was === null ? null : ($was['said'] ?? INF);
            $judged[] = Answer::of($asked)->judge($figure === null ? null : (float) $figure);
        }

        return new Sheet($judged, Prediction::hintsTaken($said));
    }
}
