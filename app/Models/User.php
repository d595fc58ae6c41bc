<?php

namespace App\Models;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property string|null $totp_secret key of the second factor, Base32
 * @property Carbon|null $totp_since when the second factor was proved first; null while there is none
 * @property int $totp_step the last step of time whose code was used
 * @property list<string>|null $recovery_codes hashes of those not used yet
 * @property Carbon|null $closed_at
 * @property Carbon|null $seen_at when he signed in last
 */
class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $table = 'users'; // said, so that nobody works it out with every request

    protected $fillable = ['name', 'email', 'role', 'password'];

    protected $hidden = ['password', 'remember_token', 'totp_secret', 'recovery_codes'];

    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'role' => Role::class, 'totp_secret' => 'encrypted', 'recovery_codes' => 'array',
            'totp_since' => 'datetime', 'closed_at' => 'datetime', 'seen_at' => 'datetime',
        ];
    }

    /** Whether he has classes, models, jobs and rules of his own. */
    public function teaches(): bool
    {
        return $this->role->teaches();
    }

    public function isAdministrator(): bool
    {
        return $this->role === Role::Administrator;
    }

    /** @return BelongsToMany<Course, $this> */
    public function courses(): BelongsToMany
    {
        return $this->belongsToMany(Course::class);
    }

    /** @return HasMany<Attempt, $this> */
    public function attempts(): HasMany
    {
        return $this->hasMany(Attempt::class);
    }

    /** @return BelongsToMany<Assignment, $this> */
    public function assignments(): BelongsToMany
    {
        return $this->belongsToMany(Assignment::class);
    }
}
