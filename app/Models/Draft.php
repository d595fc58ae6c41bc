<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A model that is being made: its document as it stands at its step, and how its board was drawn.
 *
 * @property int $id
 * @property int $user_id who began it
 * @property string $name
 * @property string $title
 * @property int $step
 * @property string $document
 * @property string $drawn see App\Building\Drawn
 * @property int|null $appliance_id the school's model that was made of it last
 * @property Carbon|null $updated_at
 */
class Draft extends Model
{
    use Shared;

    protected $fillable = ['user_id', 'name', 'title', 'step', 'document', 'drawn', 'appliance_id'];

    protected $hidden = ['document', 'drawn'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<DraftStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(DraftStep::class)->orderBy('number');
    }

    /** @return BelongsToMany<User, $this> who has looked in lately */
    public function visitors(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'draft_visitors')->withPivot('seen_at');
    }

    /** @return array<string, mixed> */
    public function content(): array
    {
        return json_decode($this->document, true, 64, JSON_THROW_ON_ERROR);
    }

    public static function sharedAs(): string
    {
        return 'model';
    }
}
