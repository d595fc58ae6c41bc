<?php

namespace App\Support;

use App\Models\AssignmentKind;
use Illuminate\Support\Facades\DB;

/**
 * What was loaded as demo data, and what has been added since. Attempts of the demo people at the demo jobs are play
 * and belong to it; people, classes, jobs, models, kinds of parts and house rules do not.
 */
class DemoData
{
    private const OWN = [
        'users' => ['person', 'people'],
        'courses' => ['class', 'classes'],
        'assignments' => ['job', 'jobs'],
        'drafts' => ['model being built', 'models being built'],
        'draft_steps' => ['edit of a model', 'edits of models'],
        'part_kinds' => ['kind of part', 'kinds of parts'],
        'shares' => ['share', 'shares'],
        'lab_readings' => ['reading of the lab', 'readings of the lab'],
        'mark_overrides' => ['line of a mark set by hand', 'lines of marks set by hand'],
    ];

    public static function remember(): void
    {
        $last = [];
        foreach (array_keys(self::OWN) as $table) {
            $last[$table] = (int) self::own($table)->max('id');
        }
        DB::table('facts')->updateOrInsert(['name' => 'demo'], ['value' => json_encode($last)]);
    }

    /** One more that belongs to the demo, made since it was loaded. */
    public static function grew(string $table, int $id): void
    {
        DB::transaction(function () use ($table, $id): void {
            $demo = DB::table('facts')->where('name', 'demo')->lockForUpdate()->value('value');
            if ($demo === null) {
                return;
            }
            $last = json_decode($demo, true);
            $last['grown'][$table] = array_values(array_unique([...$last['grown'][$table] ?? [], $id]));
            DB::table('facts')->where('name', 'demo')->update(['value' => json_encode($last)]);
        });
    }

    public static function isLoaded(): bool
    {
        return DB::table('facts')->where('name', 'demo')->exists();
    }

    /** @return list<string> what would be lost with the demo data put back, in words; empty when nothing */
    public static function others(): array
    {
        $demo = DB::table('facts')->where('name', 'demo')->value('value');
        $last = $demo === null ? [] : json_decode($demo, true);
        $others = [];
        foreach (self::OWN as $table => [$one, $more]) {
            $count = self::own($table)->where('id', '>', $last[$table] ?? 0)
                ->whereNotIn('id', $last['grown'][$table] ?? [])
                ->when($table === 'mark_overrides', fn ($q) => $q->whereNotIn(
                    'attempt_id',
                    DB::table('attempts')->whereIn('assignment_id', $last['grown']['assignments'] ?? [])->select('id'),
                ))
                ->count();
            if ($count > 0) {
                $others[] = $count.' '.($count === 1 ? $one : $more);
            }
        }
        $rules = DB::table('rule_sets')->whereNotNull('user_id')->count();
        if ($rules > 0) {
            $others[] = $rules.' '.($rules === 1 ? 'set of house rules' : 'sets of house rules');
        }

        return $others;
    }

    private static function own(string $table): \Illuminate\Database\Query\Builder
    {
        $query = DB::table($table);

        return $table === 'assignments' ? $query->whereIn('kind', AssignmentKind::given()) : $query;
    }
}
