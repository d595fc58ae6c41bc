<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What somebody said that a meter will show, with what became of it.
 *
 * @property int $id
 * @property int $attempt_id
 * @property int $item of the sheet, from 0
 * @property array<string, mixed> $judgement {@see \OddSpark\Predicting\Judgement::toArray}
 */
class Prediction extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'item', 'judgement'];

    protected function casts(): array
    {
        return ['judgement' => 'array'];
    }
}
