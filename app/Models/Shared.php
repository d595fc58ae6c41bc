<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** Something that belongs to its maker (user_id) and is shared by its name; without a maker it is shipped, for all. */
trait Shared
{
    /** What it is shared as. */
    abstract public static function sharedAs(): string;

    /**
     * Those that somebody who teaches may look at and use.
     *
     * @param Builder<self> $query
     */
    public function scopeReadableBy(Builder $query, User $user): void
    {
        $this->sharedWith($query, $user, Share::READ, true);
    }

    /**
     * Those that somebody who teaches may change.
     *
     * @param Builder<self> $query
     */
    public function scopeEditableBy(Builder $query, User $user): void
    {
        $this->sharedWith($query, $user, Share::EDIT, false);
    }

    public function isReadableBy(User $user): bool
    {
        return $user->teaches() && self::query()->whereKey($this->getKey())->readableBy($user)->exists();
    }

    public function isEditableBy(User $user): bool
    {
        return $user->teaches() && self::query()->whereKey($this->getKey())->editableBy($user)->exists();
    }

    /** @param Builder<self> $query */
    private function sharedWith(Builder $query, User $user, string $may, bool $shipped): void
    {
        $query->where(fn (Builder $q) => $q
            ->where('user_id', $user->id)
            ->when($shipped, fn (Builder $q) => $q->orWhereNull('user_id'))
            ->orWhere(fn (Builder $q) => $q
                ->whereNotNull('user_id')
                ->whereIn('name', Share::namesFor($user, self::sharedAs(), $may))));
    }
}
