<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Who did what to whom: ids and no names. Rows are added only; the database refuses to change or delete one.
 *
 * @property int|null $actor_id
 * @property string $act
 * @property string $of
 * @property int|null $of_id
 * @property array<string, mixed>|null $more
 * @property Carbon $created_at
 */
class AuditEntry extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['actor_id', 'act', 'of', 'of_id', 'more'];

    protected function casts(): array
    {
        return ['more' => 'array', 'created_at' => 'datetime'];
    }

    /** Has the database refuse to change or delete a row; again after a restore, which brings tables without it. */
    public static function seal(): void
    {
        foreach (['UPDATE', 'DELETE'] as $change) {
            DB::unprepared(
                'CREATE OR REPLACE TRIGGER audit_entries_no_'.strtolower($change).
                    " BEFORE $change ON audit_entries FOR EACH ROW ".
                    "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'The audit log can only be added to.'",
            );
        }
    }

    /** That somebody was not let in; whose account it would have been, where there is such a one. */
    public static function refusedSignIn(?User $user): void
    {
        self::query()->create(
            ['actor_id' => null, 'act' => 'sign-in refused', 'of' => 'users', 'of_id' => $user?->id, 'more' => null],
        );
    }

    /** @param array<string, int|string> $more ids and counts, no names */
    public static function note(?User $actor, string $act, Model $of, array $more = []): void
    {
        self::query()->create([
            'actor_id' => $actor?->id,
            'act' => $act,
            'of' => $of->getTable(),
            'of_id' => $of->getKey(),
            'more' => $more === [] ? null : $more,
        ]);
    }
}
