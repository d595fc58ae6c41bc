<?php

namespace App\Work;

use App\Bench\Plans;
use App\Bench\Predictions;
use App\Models\Attempt;
use App\Models\Prediction;
use OddSpark\Acts\ActError;

/** Work on a sheet whose answers are picked; what was given stands. */
abstract class Picking extends Sheet
{
    public function __construct(Plans $plans, private readonly Predictions $sheets)
    {
        parent::__construct($plans);
    }

    /**
     * What becomes of an answer.
     *
     * @param array<string, mixed> $sheet as the job keeps it
     * @param array<string, mixed> $asked the item of it
     * @param list<string> $picked ids
     * @return array{picked: list<string>, right: bool, why: string, ...}
     *
     * @throws ActError when that is no answer to it
     */
    abstract protected function judge(array $sheet, array $asked, array $picked): array;

    /**
     * Gives an answer.
     *
     * @param list<string> $picked ids
     *
     * @throws ActError when it is none, or there is no such item
     */
    public function say(Attempt $attempt, int $item, array $picked): Prediction
    {
        return $this->sheets->at($attempt, $item, function (Attempt $attempt, Prediction $is, array $asked) use (
            $picked,
        ): void {
            $judgement = $this->judge(Predictions::sheet($attempt), $asked, $picked);
            if ($is->judgement === null) {
                $attempt->increment('entries_count');
                $is->judgement = $judgement;
            }
        });
    }

    /**
     * What was given; in an examination what became of it is told when the sheet is handed in.
     *
     * @return array<string, mixed>|null
     */
    public static function told(Attempt $attempt, Prediction $prediction): ?array
    {
        $judgement = $prediction->judgement;
        $isTold = $attempt->assignment->kind->hasHints();

        return $judgement === null ? null : [
            'picked' => $judgement['picked'],
            'right' => $isTold ? $judgement['right'] : null,
            'why' => $isTold ? $judgement['why'] : null,
        ];
    }
}
