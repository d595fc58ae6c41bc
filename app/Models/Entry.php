<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One line of the log: the act, and what it showed, kept as fact.
 *
 * @property int $id
 * @property string $client_id
 * @property int $tick
 * @property array<string, mixed> $act
 * @property array<string, mixed> $outcome
 * @property string $sentence
 */
class Entry extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'client_id', 'tick', 'act', 'outcome', 'sentence'];

    protected function casts(): array
    {
        return ['act' => 'array', 'outcome' => 'array'];
    }

    /** @return array<string, mixed> as the bench shows it */
    public function shown(): array
    {
        return [
            'id' => $this->client_id,
            'at_s' => $this->tick / 1000,
            'text' => $this->sentence,
            'act' => $this->act,
            'seen' => (object) ($this->outcome['seen'] ?? []),
            'dangers' => (object) ($this->outcome['dangers'] ?? []),
        ] + $this->outcome;
    }
}
