<?php

namespace App\Models;

use Database\Factories\CourseFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Support\Carbon;

/**
 * A class of trainees.
 *
 * @property int $id
 * @property int $instructor_id
 * @property string $name
 * @property string|null $join_code
 * @property Carbon|null $join_until
 * @property Carbon|null $stopped_at since when its benches are stopped
 */
class Course extends Model
{
    /** @use HasFactory<CourseFactory> */
    use HasFactory;

    protected $fillable = ['instructor_id', 'name', 'join_code', 'join_until'];

    protected function casts(): array
    {
        return ['join_until' => 'datetime', 'stopped_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function instructor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'instructor_id');
    }

    /** @return BelongsToMany<User, $this> who teach or mark in it beside the one who leads it */
    public function staff(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'course_staff')->withPivot('part')->orderBy('name');
    }

    /**
     * Those that somebody leads or teaches in.
     *
     * @param Builder<self> $query
     */
    public function scopeTaughtBy(Builder $query, User $user): void
    {
        $query->where(fn (Builder $own) => $own
            ->where('instructor_id', $user->id)
            ->orWhereHas('staff', fn (Builder $s) => $s->whereKey($user->id)->where('part', StaffPart::Teaches)));
    }

    /**
     * Those whose marks somebody reads.
     *
     * @param Builder<self> $query
     */
    public function scopeReadBy(Builder $query, User $user): void
    {
        $query->where(fn (Builder $own) => $own
            ->where('instructor_id', $user->id)
            ->orWhereHas('staff', fn (Builder $s) => $s->whereKey($user->id)));
    }

    /** @return BelongsToMany<Appliance, $this> models that its trainees can practise on at will */
    public function freeBenches(): BelongsToMany
    {
        return $this->belongsToMany(Appliance::class, 'free_benches')->orderBy('title');
    }

    public function isTaughtBy(User $user): bool
    {
        return $user->teaches() && ($this->instructor_id === $user->id || $this->partOf($user) === StaffPart::Teaches);
    }

    public function isReadBy(User $user): bool
    {
        return $this->isTaughtBy($user) || ($user->role->isStaff() && $this->partOf($user) !== null);
    }

    private function partOf(User $user): ?StaffPart
    {
        $part = $this->staff()->whereKey($user->id)->value('part');

        return $part === null ? null : StaffPart::from($part);
    }

    /** @return BelongsToMany<User, $this> */
    public function trainees(): BelongsToMany
    {
        return $this->belongsToMany(User::class)->orderBy('name');
    }
}
