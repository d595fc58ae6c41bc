<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One person at one job: the snapshot after what was played, and what was perceived till then.
 *
 * @property int $id
 * @property int $assignment_id
 * @property int $user_id
 * @property int $seed
 * @property string $state
 * @property string $record
 * @property Carbon|null $handed_back_at
 * @property int $entries_count
 * @property int $engine the version of the computation that it was begun under
 * @property array<string, mixed>|null $mark what counts: as computed at the hand-back, with what was set otherwise
 *     since
 * @property array<string, mixed>|null $debrief
 * @property array<string, mixed>|null $pairs which two faults at once would have shown the same; see WeighPairs
 * @property list<array{engine: int, entries: list<array<string, mixed>>}>|null $set_aside what was done before it was
 *     given anew, under older engines
 * @property Carbon|null $begun_at
 * @property Carbon|null $updated_at
 */
class Attempt extends Model
{
    protected $fillable = [
        'assignment_id',
        'user_id',
        'seed',
        'state',
        'record',
        'handed_back_at',
        'engine',
        'entries_count',
        'mark',
        'debrief',
        'pairs',
        'set_aside',
        'begun_at',
    ];

    protected $hidden = ['state', 'record', 'seed', 'set_aside'];

    protected function casts(): array
    {
        return [
            'handed_back_at' => 'datetime',
            'begun_at' => 'datetime',
            'mark' => 'array',
            'debrief' => 'array',
            'pairs' => 'array',
            'set_aside' => 'array',
        ];
    }

    /** @return BelongsTo<Assignment, $this> */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class)->select(Assignment::LIGHT);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Entry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class)->orderBy('id');
    }

    /** @return HasMany<Mark, $this> every mark that was made, the first first */
    public function marks(): HasMany
    {
        return $this->hasMany(Mark::class)->orderBy('id');
    }

    /** @return HasMany<MarkOverride, $this> lines set otherwise by hand, the first first */
    public function overrides(): HasMany
    {
        return $this->hasMany(MarkOverride::class)->orderBy('id');
    }

    /** Whether it can go on: what was begun under an older computation is given anew instead. */
    public function isOfToday(): bool
    {
        return ! $this->isOpen() || $this->engine === Assignment::ENGINE;
    }

    public function isOpen(): bool
    {
        return $this->handed_back_at === null;
    }
}
