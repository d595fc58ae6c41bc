<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A mark as it was computed, under the rules and the engine of then. Never changed.
 *
 * @property int $id
 * @property int $attempt_id
 * @property int|null $user_id who asked for it; null for the one made at the hand-back
 * @property int $engine
 * @property array<string, mixed> $rules
 * @property array<string, mixed> $result
 */
class Mark extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'user_id', 'engine', 'rules', 'result'];

    protected function casts(): array
    {
        return ['rules' => 'array', 'result' => 'array'];
    }
}
