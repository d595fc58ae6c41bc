<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model as ApplianceModel;
use OddSpark\Bench\WarmUp;
use OddSpark\Drawing\Board;
use OddSpark\Drawing\Ladder;

/**
 * A model of the school: its resolved document, and the board drawn from it.
 *
 * @property int $id
 * @property int|null $user_id whose it is; null: shipped
 * @property string $name
 * @property string $title
 * @property string $hash
 * @property string $document
 * @property string $board
 */
class Appliance extends Model
{
    use Shared;

    protected $fillable = ['user_id', 'name', 'title', 'hash', 'document', 'board'];

    protected $hidden = ['document', 'board'];

    /** Brings a shipped model into the school, or up to date. */
    public static function ship(string $name): self
    {
        $model = (new Library())->model($name);
        $existing = self::query()->where('name', $model->name())->first();
        if ($existing !== null && $existing->hash === $model->hash() && str_contains($existing->board, '"ladder"')) {
            return $existing;
        }

        return self::keep($model);
    }

    /**
     * Keeps a model under its name, with its board and ladder drawn.
     *
     * @param array<string, mixed>|null $drawn how its board was drawn already
     * @param int|null $owner whose it is; null: shipped
     */
    public static function keep(ApplianceModel $model, ?array $drawn = null, ?int $owner = null): self
    {
        return self::query()->updateOrCreate(['name' => $model->name()], [
            'user_id' => $owner,
            'title' => $model->title(),
            'hash' => $model->hash(),
            'document' => self::encode($model->document),
            'board' => self::encode(Board::of($model, $drawn) + ['ladder' => Ladder::of($model)]),
        ]);
    }

    /**
     * Those that trouble can be set in.
     *
     * @param Builder<self> $query
     */
    public function scopeOffered(Builder $query): void
    {
        $query->where('name', '!=', WarmUp::NAME);
    }

    /** @return BelongsToMany<Course, $this> classes whose trainees practise on it at will */
    public function freeIn(): BelongsToMany
    {
        return $this->belongsToMany(Course::class, 'free_benches');
    }

    public function model(): ApplianceModel
    {
        return new ApplianceModel(json_decode($this->document, true, 64, JSON_THROW_ON_ERROR));
    }

    /** @param array<string, mixed> $value */
    public static function encode(array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    }

    public static function sharedAs(): string
    {
        return 'model';
    }
}
