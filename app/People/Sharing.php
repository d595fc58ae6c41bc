<?php

namespace App\People;

use App\Models\Course;
use App\Models\Draft;
use App\Models\JobTemplate;
use App\Models\PartKind;
use App\Models\RuleSet;
use App\Models\User;

/** Whose something is that can be shared, and with whom it can be. */
class Sharing
{
    /**
     * The maker of a model, a kind, a template or a set of rules; null when there is none of that name, or it is
     * shipped.
     */
    public static function maker(string $of, string $name): ?int
    {
        $row = match ($of) {
            Draft::sharedAs() => Draft::query()->where('name', $name)->first(),
            PartKind::sharedAs() => PartKind::query()->where('name', $name)->first(),
            JobTemplate::sharedAs() => JobTemplate::query()->where('name', $name)->first(),
            RuleSet::sharedAs() => RuleSet::query()->where('name', $name)->orderBy('version')->first(),
            default => null,
        };

        return $row?->user_id;
    }

    /** @return list<array{id: int, name: string}> the classes whose staff somebody can share with */
    public static function courses(User $user): array
    {
        return Course::query()->taughtBy($user)->orderBy('name')->get(['id', 'name'])
            ->map(fn (Course $c) => ['id' => $c->id, 'name' => $c->name])->all();
    }
}
