<?php

namespace App\Models;

use Database\Factories\CourseFactory;
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
 */
class Course extends Model
{
    /** @use HasFactory<CourseFactory> */
    use HasFactory;

    protected $fillable = ['instructor_id', 'name', 'join_code', 'join_until'];

    protected function casts(): array
    {
        return ['join_until' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function instructor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'instructor_id');
    }

    /** @return BelongsToMany<User, $this> */
    public function trainees(): BelongsToMany
    {
        return $this->belongsToMany(User::class)->orderBy('name');
    }
}
