<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One step of a draft: the whole document after it, packed, and what it did in words. Never changed, but for its name.
 *
 * @property int $id
 * @property int $draft_id
 * @property int $number
 * @property int|null $parent the step it was made upon; null for the first
 * @property int $user_id
 * @property string $words
 * @property string|null $label a version's name
 * @property string $document
 * @property Carbon|null $created_at
 */
class DraftStep extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['client_id', 'draft_id', 'number', 'parent', 'user_id', 'words', 'label', 'document'];

    protected $hidden = ['document'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** The document's text, to the byte. */
    public function text(): string
    {
        return (string) gzinflate($this->document);
    }

    public static function packed(string $text): string
    {
        return (string) gzdeflate($text, 2);
    }
}
