<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * What a maker lets others do with something of his: a model, a kind of part, a template of a job or a set of house
 * rules, by its name.
 *
 * @property string $of
 * @property string $name
 * @property int|null $course_id with those who teach in this class; null: with all who teach
 * @property string $may
 */
class Share extends Model
{
    public const READ = 'read';

    public const EDIT = 'edit';

    protected $fillable = ['of', 'name', 'course_id', 'may'];

    /**
     * The names that are shared with somebody.
     *
     * @param string $may at least this
     * @return Builder<self>
     */
    public static function namesFor(User $user, string $of, string $may): Builder
    {
        return self::query()
            ->select('name')
            ->where('of', $of)
            ->when($may === self::EDIT, fn (Builder $q) => $q->where('may', self::EDIT))
            ->where(fn (Builder $q) => $q
                ->whereNull('course_id')
                ->orWhereIn('course_id', Course::query()->taughtBy($user)->select('id')));
    }

    /**
     * Who may what, in place of what stood.
     *
     * @param int|null $course with those who teach in it; null: with all who teach
     * @param string|null $may null: with nobody
     */
    public static function settle(string $of, string $name, ?int $course, ?string $may): void
    {
        DB::transaction(function () use ($of, $name, $course, $may): void {
            $rows = self::query()->where(['of' => $of, 'name' => $name]);
            $course === null ? $rows->whereNull('course_id') : $rows->where('course_id', $course);
            $rows->lockForUpdate()->get()->each->delete();
            if ($may !== null) {
                self::query()->create(['of' => $of, 'name' => $name, 'course_id' => $course, 'may' => $may]);
            }
        });
    }

    /** @return list<array{course: int|null, may: string}> */
    public static function shown(string $of, string $name): array
    {
        return self::query()->where(['of' => $of, 'name' => $name])->orderBy('id')->get()
            ->map(fn (self $s) => ['course' => $s->course_id, 'may' => $s->may])->all();
    }
}
