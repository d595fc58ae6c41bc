<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A kind of part of the school's own.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $title
 * @property array<string, mixed> $document
 */
class PartKind extends Model
{
    use Shared;

    protected $fillable = ['user_id', 'name', 'title', 'document'];

    protected function casts(): array
    {
        return ['document' => 'array'];
    }

    /** @return array<string, array<string, mixed>> those that somebody can place, by name */
    public static function catalogue(User $user): array
    {
        return self::query()->readableBy($user)->orderBy('name')->get()->mapWithKeys(
            fn (self $k) => [$k->name => $k->document],
        )->all();
    }

    public static function sharedAs(): string
    {
        return 'kind';
    }
}
