<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use OddSpark\Marking\Rules;

/**
 * What somebody answered to an item of a sheet, that a meter will show so much or that a load is off for this, with
 * what became of it.
 *
 * @property int $id
 * @property int $attempt_id
 * @property int $item of the sheet, from 0
 * @property int $hints grades of hints that were taken, from the least
 * @property array<string, mixed>|null $judgement {@see \OddSpark\Predicting\Judgement::toArray}, or that of Explaining
 */
class Prediction extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'item', 'judgement', 'hints'];

    /**
     * Hints that were taken of a sheet.
     *
     * @param iterable<self> $answers
     * @return array<string, int> how many, by grade
     */
    public static function hintsTaken(iterable $answers): array
    {
        $taken = [];
        foreach ($answers as $answer) {
            foreach (array_slice(Rules::HINTS, 0, $answer->hints) as $grade) {
                $taken[$grade] = ($taken[$grade] ?? 0) + 1;
            }
        }

        return $taken;
    }

    protected function casts(): array
    {
        return ['judgement' => 'array'];
    }
}
