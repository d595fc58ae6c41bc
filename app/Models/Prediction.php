<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What somebody said that a meter will show, with what became of it.
 *
 * @property int $id
 * @property int $attempt_id
 * @property int $item of the sheet, from 0
 * @property int $hints grades of hints that were taken, from the least
 * @property array<string, mixed>|null $judgement {@see \OddSpark\Predicting\Judgement::toArray}
 */
class Prediction extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'item', 'judgement', 'hints'];

    protected function casts(): array
    {
        return ['judgement' => 'array'];
    }
}
