<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use OddSpark\Acts\Catalogue;
use OddSpark\Marking\Rules;
use OddSpark\Marking\Schools;
use OddSpark\Words\Words;

/**
 * A job given to trainees: an appliance, frozen, with a fault in it and the rules it is done under.
 *
 * What a trainee may know of it is in {@see briefing} and nowhere else.
 *
 * @property int $id
 * @property int $instructor_id
 * @property int $course_id
 * @property string $title
 * @property string $complaint
 * @property AssignmentKind $kind
 * @property string $visit
 * @property string $fault
 * @property int $seed
 * @property int $engine
 * @property string $hash
 * @property array<string, mixed> $rules
 * @property array{low_battery?: bool, worn_leads?: bool}|null $kit how the meter is that the trainee comes with
 * @property list<string> $said ids of what the customer said
 * @property Carbon|null $opens_at
 * @property Carbon|null $closes_at
 * @property int|null $minutes how long each may take
 * @property string|null $pool of jobs whose fault is drawn for each trainee: the same for all of them
 * @property int|null $after_id the job that must be passed before
 * @property int|null $after_mark with at least this mark; null: passed
 * @property AssignmentWork $work
 * @property array<string, mixed>|null $sheet what is asked, with its answers: {@see \App\Bench\Predictions}
 * @property string $document
 * @property string $board
 * @property string $arrivals
 */
class Assignment extends Model
{
    /** The version of the computation that a job was given under. */
    public const ENGINE = 10;

    protected $table = 'assignments'; // said, so that nobody works it out with every request

    protected $fillable = [
        'appliance_id',
        'instructor_id',
        'course_id',
        'title',
        'complaint',
        'kind',
        'visit',
        'fault',
        'seed',
        'engine',
        'hash',
        'rules',
        'kit',
        'said',
        'document',
        'board',
        'arrivals',
        'opens_at',
        'closes_at',
        'minutes',
        'pool',
        'after_id',
        'after_mark',
        'work',
        'sheet',
    ];

    protected $attributes = ['work' => 'trace'];

    protected $hidden = ['fault', 'seed', 'document', 'board', 'arrivals', 'said', 'visit', 'sheet'];

    /** Schools that a trainee is told whichever was chosen: they say what is allowed. */
    private const ALWAYS_TOLD = ['safety_jumper', 'valve_jumper', 'flue_aside'];

    /** Columns that are small: the rest is loaded when it is needed. */
    public const LIGHT = [
        'id',
        'appliance_id',
        'instructor_id',
        'course_id',
        'title',
        'complaint',
        'kind',
        'visit',
        'fault',
        'seed',
        'engine',
        'hash',
        'rules',
        'kit',
        'said',
        'created_at',
        'opens_at',
        'closes_at',
        'minutes',
        'pool',
        'after_id',
        'after_mark',
        'work',
    ];

    protected function casts(): array
    {
        return [
            'kind' => AssignmentKind::class, 'rules' => 'array', 'kit' => 'array', 'said' => 'array',
            'opens_at' => 'datetime', 'closes_at' => 'datetime', 'work' => AssignmentWork::class, 'sheet' => 'array',
        ];
    }

    /** @return BelongsToMany<User, $this> */
    public function trainees(): BelongsToMany
    {
        return $this->belongsToMany(User::class)->withPivot('extra_minutes')->orderBy('name');
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }

    /** @return BelongsTo<self, $this> the job that must be passed before */
    public function after(): BelongsTo
    {
        return $this->belongsTo(self::class, 'after_id')->select(self::LIGHT);
    }

    /**
     * All jobs of its pool, the first first; itself alone where there is none.
     *
     * @param Builder<self> $query
     */
    public function scopePooledWith(Builder $query, self $one): void
    {
        $one->pool === null ? $query->whereKey($one->id) : $query->where('pool', $one->pool)->orderBy('id');
    }

    /** @return HasMany<Attempt, $this> */
    public function attempts(): HasMany
    {
        return $this->hasMany(Attempt::class);
    }

    /** @return array<string, mixed> what the trainee is told of the house rules */
    private function told(): array
    {
        $rules = Rules::of($this->rules);

        return [
            'title' => $rules->title, 'version' => $rules->version, 'pass_mark' => $rules->passMark,
            'not_passed' => array_values(Words::each('marking.cap', $rules->caps)),
            'schools' => array_values(array_filter(array_map(
                fn (string $question, array $ways) => ($way = $rules->schools->way($question)) ===
                    array_key_first($ways) && ! in_array($question, self::ALWAYS_TOLD, true)
                    ? null
                    : ['question' => Words::say("marking.schools.question.$question"), 'way' => $ways[$way]],
                array_keys(Schools::CHOICES),
                Schools::choices(),
            ))),
            'flame_ua' => $rules->schools->flameUa,
            'verify' => $rules->verify,
            'barred' => array_values(array_intersect_key(Catalogue::barrable(), array_flip($rules->barred))),
            'papers' => $rules->papers,
            'stops' => $rules->stops !== [],
            'own_sheet' => $rules->ownSheet,
            'report' => $rules->weights['report'] > 0,
            'hints' => $this->kind->hasHints() ? $rules->hints : null,
        ];
    }

    /** @return array<string, mixed> what the trainee is told of the job */
    public function briefing(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'complaint' => $this->complaint,
            'kind' => $this->kind,
            'work' => $this->work,
            'is_traced' => $this->work->kind()->hasSuspects(),
            'rules' => $this->told(),
            'opens_at' => $this->opens_at?->toIso8601String(),
            'closes_at' => $this->closes_at?->toIso8601String(),
            'minutes' => $this->minutes,
        ];
    }
}
