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
 * @property Carbon|null $stopped_at since when its bench stands, stopped by the instructor
 * @property int $stopped_s seconds that its clock has stood before that
 * @property int $lost_s of these, for a lost connection
 * @property Carbon|null $hand_at since when the hand is up
 * @property array{entries: int, left: list<int>}|null $curve suspects left on arrival and after each act
 * @property Carbon|null $updated_at
 */
class Attempt extends Model
{
    protected $table = 'attempts'; // said, so that nobody works it out with every request

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
        'stopped_at',
        'stopped_s',
        'lost_s',
        'hand_at',
        'curve',
    ];

    protected $hidden = ['state', 'record', 'seed', 'set_aside', 'curve'];

    protected function casts(): array
    {
        return [
            'handed_back_at' => 'datetime',
            'begun_at' => 'datetime',
            'stopped_at' => 'datetime',
            'hand_at' => 'datetime',
            'curve' => 'array',
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

    /** @return HasMany<Contest, $this> times that its mark was contested, the first first */
    public function contests(): HasMany
    {
        return $this->hasMany(Contest::class)->orderBy('id');
    }

    /** @return HasMany<AttemptEvent, $this> what happened round it, the first first */
    public function events(): HasMany
    {
        return $this->hasMany(AttemptEvent::class)->orderBy('id');
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
