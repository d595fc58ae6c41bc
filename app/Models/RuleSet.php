<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use OddSpark\Appliance\Library;
use OddSpark\Marking\Rules;

/**
 * House rules: one version of a named set. A version is never changed; what is saved is the next one.
 *
 * @property int $id
 * @property int|null $user_id who made it; null for those that are shipped
 * @property string $name
 * @property int $version
 * @property string $title
 * @property array<string, mixed> $document
 */
class RuleSet extends Model
{
    use Shared;

    public const SHIPPED = ['first-year', 'journeyman', 'examination'];

    protected $fillable = ['user_id', 'name', 'version', 'title', 'document'];

    protected function casts(): array
    {
        return ['document' => 'array'];
    }

    /** Puts the shipped sets in, each in the version that it has now. */
    public static function ship(): void
    {
        foreach (self::SHIPPED as $name) {
            $document = Rules::of((new Library())->rules($name))->toArray();
            self::query()->firstOrCreate(
                ['name' => $name, 'version' => $document['version']],
                ['title' => $document['title'], 'document' => $document],
            );
        }
    }

    /** @return Collection<int, self> the newest version of each set that somebody can use, the shipped ones first */
    public static function newest(User $user): Collection
    {
        return self::query()
            ->readableBy($user)
            ->orderBy('id')
            ->get()
            ->groupBy('name')
            ->map(fn (Collection $versions) => $versions->sortByDesc('version')->firstOrFail())
            ->values();
    }

    public function rules(): Rules
    {
        return Rules::of($this->document);
    }

    public function isShipped(): bool
    {
        return in_array($this->name, self::SHIPPED, true);
    }

    public static function sharedAs(): string
    {
        return 'rules';
    }
}
