<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Collection;
use OddSpark\Appliance\Model as ApplianceModel;
use OddSpark\Faults\FaultSet;

/**
 * A job of a model that somebody who teaches keeps to give again: all but to whom and when.
 *
 * @phpstan-type Kept array{fault: string, pool: list<string>, visit: string, kind: string, complaint: string, low_battery: bool, worn_leads: bool, stops: bool, rules: string, minutes: int|null}
 *
 * @property int $id
 * @property int $user_id
 * @property int $appliance_id
 * @property string $name by which it is shared
 * @property string $title
 * @property Kept $job rules: by name, so that it goes with their newest version
 */
class JobTemplate extends Model
{
    use Shared;

    protected $fillable = ['user_id', 'appliance_id', 'name', 'title', 'job'];

    protected function casts(): array
    {
        return ['job' => 'array'];
    }

    public static function sharedAs(): string
    {
        return 'template';
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * Those of a model that somebody keeps or others share with him, as far as it still has their faults and visit.
     *
     * @return Collection<int, self>
     */
    public static function of(User $user, Appliance $appliance, ApplianceModel $model): Collection
    {
        $faults = FaultSet::of($model)->faults;
        $has = fn (self $template): bool => in_array($template->job['visit'], $model->visits(), true)
            && array_diff([$template->job['fault'], ...$template->job['pool']], array_keys($faults)) === [];

        return self::query()
            ->readableBy($user)
            ->where('appliance_id', $appliance->id)
            ->with('user')
            ->orderBy('title')
            ->get()
            ->filter($has)
            ->values();
    }
}
