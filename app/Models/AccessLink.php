<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A link by which one person sets a password, once: the first, or a new one. Its token is kept as a hash only.
 *
 * @property int $user_id
 * @property string|null $batch people who came in together
 * @property Carbon $expires_at
 * @property Carbon|null $used_at
 */
class AccessLink extends Model
{
    /** Days for which a link is good. */
    public const DAYS = 14;

    private const LETTERS = 40;

    protected $fillable = ['user_id', 'created_by', 'batch', 'token_hash', 'expires_at', 'used_at'];

    protected $hidden = ['token_hash'];

    protected function casts(): array
    {
        return ['expires_at' => 'datetime', 'used_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** A new link for somebody, in place of those not used yet; returns its token, which is nowhere kept. */
    public static function for(User $user, User $by, ?string $batch = null): string
    {
        self::query()->where('user_id', $user->id)->whereNull('used_at')->update(['used_at' => now()]);
        $token = Str::random(self::LETTERS);
        self::query()->create([
            'user_id' => $user->id,
            'created_by' => $by->id,
            'batch' => $batch,
            'token_hash' => hash('sha256', $token),
            'expires_at' => now()->addDays(self::DAYS),
        ]);

        return $token;
    }

    /** The link of a token that can still be used. */
    public static function open(string $token): ?self
    {
        return self::query()
            ->where('token_hash', hash('sha256', $token))
            ->whereNull('used_at')
            ->where('expires_at', '>', now())
            ->first();
    }
}
