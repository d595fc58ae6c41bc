<?php

namespace App\Building;

use App\Models\Draft;
use App\Models\DraftStep;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use OddSpark\Building\Difference;
use OddSpark\Building\EditError;

/** The steps of a draft, what differs between them, and who is at it. */
class DraftHistory
{
    private const PRESENT_S = 25;

    /** Steps that a history shows, the newest first. */
    private const SHOWN = 200;

    /**
     * What differs between two steps.
     *
     * @return list<string>
     */
    public function difference(Draft $draft, int $from, int $to): array
    {
        $texts = $draft->steps()->whereIn('number', [$from, $to])->get()->keyBy('number');
        foreach ([$from, $to] as $number) {
            $texts->has($number) || throw new EditError('/number', "There is no step $number.");
        }

        return Difference::words(json_decode($texts[$from]->text(), true), json_decode($texts[$to]->text(), true));
    }

    /** @return list<array<string, mixed>> the newest first */
    public function history(Draft $draft): array
    {
        return $draft
            ->steps()
            ->with('user:id,name')
            ->reorder('number', 'desc')
            ->limit(self::SHOWN)
            ->get(['id', 'draft_id', 'number', 'parent', 'user_id', 'words', 'label', 'created_at'])
            ->map(
                fn (DraftStep $s) => [
                    'number' => $s->number,
                    'words' => $s->words,
                    'label' => $s->label,
                    'by' => $s->user?->name,
                    'at' => $s->created_at?->format('j M H:i'),
                ],
            )
            ->all();
    }

    /**
     * Says that someone is here, and who else is.
     *
     * @return array{step: int, others: list<string>, by: string|null}
     */
    public function look(Draft $draft, User $user): array
    {
        DB::table('draft_visitors')->upsert(
            [['draft_id' => $draft->id, 'user_id' => $user->id, 'seen_at' => now()]],
            ['draft_id', 'user_id'],
            ['seen_at'],
        );
        $others = $draft
            ->visitors()
            ->wherePivot('seen_at', '>', now()->subSeconds(self::PRESENT_S))
            ->whereKeyNot($user->id)
            ->pluck('name')
            ->all();
        $last = $draft
            ->steps()
            ->with('user:id,name')
            ->where('number', $draft->step)
            ->first(['id', 'draft_id', 'number', 'user_id']);

        return ['step' => $draft->step, 'others' => $others, 'by' => $last?->user?->name];
    }
}
