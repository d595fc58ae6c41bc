<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

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

    protected function casts(): array
    {
        return ['judgement' => 'array'];
    }
}
