<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A mark that its trainee contests, with his reason. A second marker sets lines without seeing what the first set; when
 * he has finished his mark stands, and both are kept.
 *
 * @property int $id
 * @property int $attempt_id
 * @property string $reason
 * @property float $first_total the mark that was contested
 * @property bool $first_passed
 * @property int|null $marker_id the second marker, once he has begun
 * @property float|null $second_total
 * @property Carbon|null $finished_at
 * @property Carbon $created_at
 */
class Contest extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'attempt_id',
        'reason',
        'first_total',
        'first_passed',
        'marker_id',
        'second_total',
        'finished_at',
    ];

    protected function casts(): array
    {
        return [
            'first_total' => 'float', 'first_passed' => 'boolean', 'second_total' => 'float', 'finished_at' => 'datetime',
            'created_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Attempt, $this> */
    public function attempt(): BelongsTo
    {
        return $this->belongsTo(Attempt::class);
    }

    public function isOpen(): bool
    {
        return $this->finished_at === null;
    }

    /** Whether somebody can be the second marker: he has not marked it before, and it is not his job. */
    public function isFor(User $user): bool
    {
        return $this->isOpen() &&
            ($this->marker_id === null || $this->marker_id === $user->id) &&
            $this->attempt->user_id !== $user->id &&
            $this->attempt->assignment->instructor_id !== $user->id &&
            $this->attempt->assignment->course->isReadBy($user) &&
            $this->attempt->overrides()->where('user_id', $user->id)->whereNull('contest_id')->doesntExist();
    }
}
