<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Prediction;
use Illuminate\Support\Facades\DB;
use OddSpark\Acts\ActError;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Predicting\Answer;
use OddSpark\Predicting\Judge;
use OddSpark\Predicting\Proposal;
use OddSpark\Predicting\Sheet;

/**
 * Sheets of readings that are said before they are taken: chosen and frozen with a job, filled in, judged.
 *
 * What a meter shows is in the job and goes to nobody before he has said what it will; in an examination not before he
 * has handed the sheet in.
 *
 * @phpstan-type Frozen array{fault: string|null, asked: list<array<string, mixed>>}
 */
class Predictions
{
    public const LEAST = 4;

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

        return ['fault' => $fault->id === Fault::HEALTHY ? null : $fault->title, 'asked' => $asked];
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
        return DB::transaction(function () use ($attempt, $item, $figure): Prediction {
            $attempt = Attempt::query()->with('assignment')->lockForUpdate()->findOrFail($attempt->id);
            if (! $attempt->isOpen()) {
                throw new StaleAttempt('This sheet is handed in. Its debrief is open to you.');
            }
            if ($attempt->stopped_at !== null) {
                throw new ActError('/', Workbench::STOPPED);
            }
            $asked = self::sheet($attempt)['asked'][$item] ?? null;
            if ($asked === null) {
                throw new ActError('/item', 'There is no such reading on this sheet.');
            }
            if ($figure !== null && abs($figure) > self::LARGEST) {
                throw new ActError('/said', 'No meter shows that much. Say it in the unit that is asked for.');
            }
            $there = Prediction::query()->where('attempt_id', $attempt->id)->where('item', $item)->first();
            if ($there !== null) {
                return $there; // said twice is said once, as it was first
            }
            $attempt->increment('entries_count');

            return Prediction::query()->create([
                'attempt_id' => $attempt->id, 'item' => $item,
                'judgement' => Answer::of($asked)->judge($figure ?? INF)->toArray(),
            ]);
        });
    }

    /** @return Frozen */
    public static function sheet(Attempt $attempt): array
    {
        return Assignment::query()->select(['id', 'sheet'])->findOrFail($attempt->assignment_id)->sheet
            ?? ['fault' => null, 'asked' => []];
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

        return new Sheet($judged);
    }
}
