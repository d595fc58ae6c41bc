<?php

namespace App\Bench;

use App\Models\Analysis;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use OddSpark\Faults\Draw;

/**
 * Jobs whose fault is drawn for each trainee. A pool is one job for each of its faults, of which everybody has one: so
 * each is frozen, marked and kept as any other.
 */
class Pools
{
    /**
     * The faults of a model whose difficulty lies within a band.
     *
     * @return list<string>|null null while the model is not analysed for this visit
     */
    public static function within(string $hash, string $visit, int $from, int $to): ?array
    {
        $result = Analysis::find($hash, $visit)?->result;
        if ($result === null) {
            return null;
        }
        $rows = array_filter(
            json_decode($result, true)['faults'],
            fn (array $row) => isset($row['grade']) && $row['grade'] >= $from && $row['grade'] <= $to,
        );

        return array_values(array_column($rows, 'id'));
    }

    /**
     * Another of the pool for somebody who tries once more; what he did in the one before stays there with its mark.
     */
    public static function drawAgain(Assignment $assignment, User $user): Assignment
    {
        return DB::transaction(function () use ($assignment, $user): Assignment {
            $all = Assignment::query()->select(Assignment::LIGHT)->pooledWith($assignment)->lockForUpdate()->get();
            $had = Attempt::query()
                ->where('user_id', $user->id)->whereIn('assignment_id', $all->modelKeys())->orderBy('id')
                ->pluck('assignment_id')
                ->map(fn (int $id) => (string) $id)->all();
            $next = (int) Draw::again($all->map(fn (Assignment $a) => (string) $a->id)->all(), $had, $assignment->seed);
            $extra = (int) DB::table('assignment_user')
                ->where('assignment_id', $assignment->id)->where('user_id', $user->id)->value('extra_minutes');
            $assignment->trainees()->detach($user->id);
            $drawn = $all->firstOrFail('id', $next);
            $drawn->trainees()->syncWithoutDetaching([$user->id => ['extra_minutes' => $extra]]);

            return $drawn;
        });
    }
}
