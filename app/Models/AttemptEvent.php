<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;

/**
 * What happened round an attempt and is no act of it: something said, a bench stopped, a page left. Facts, in the order
 * in which they came.
 *
 * @property int $id
 * @property int $attempt_id
 * @property int|null $user_id who did it
 * @property AttemptEventKind $what
 * @property string|null $text
 * @property int|null $seconds how long it was
 * @property Carbon $created_at
 */
class AttemptEvent extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'user_id', 'what', 'text', 'seconds'];

    protected function casts(): array
    {
        return ['what' => AttemptEventKind::class, 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Of one attempt no more is kept: whoever says or notes more has other things in mind. */
    private const MOST = 500;

    /** @throws ValidationException when there are too many */
    public static function note(
        Attempt $attempt,
        ?User $by,
        AttemptEventKind $what,
        ?string $text = null,
        ?int $seconds = null,
    ): self {
        if (self::query()->where('attempt_id', $attempt->id)->count() >= self::MOST) {
            throw ValidationException::withMessages(
                ['text' => 'So much has been noted of this call that no more is kept.'],
            );
        }

        return self::query()->create([
            'attempt_id' => $attempt->id, 'user_id' => $by?->id, 'what' => $what, 'text' => $text, 'seconds' => $seconds,
        ])->refresh();
    }

    /**
     * @return array{id: int, what: string, text: string|null, seconds: int|null, by: string|null, mine: bool,
     *     at: string}
     */
    public function shown(?int $reader): array
    {
        return [
            'id' => $this->id, 'what' => $this->what->value, 'text' => $this->text, 'seconds' => $this->seconds,
            'by' => $this->user?->name, 'mine' => $this->user_id === $reader, 'at' => $this->created_at->toIso8601String(),
        ];
    }
}
