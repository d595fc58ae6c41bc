<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A line of a mark that an instructor has set otherwise, with his reason. All are kept; the latest of a line counts.
 *
 * @property int $id
 * @property int $attempt_id
 * @property int $user_id
 * @property string $line
 * @property float|null $share null: what was computed stands again
 * @property string $reason
 * @property Carbon|null $created_at
 * @property int|null $contest_id the contest in which a second marker set it
 */
class MarkOverride extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['attempt_id', 'user_id', 'line', 'share', 'reason', 'contest_id'];

    protected function casts(): array
    {
        return ['share' => 'float'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
