<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Contest;
use App\Models\Mark;
use App\Models\MarkOverride;
use App\Models\User;
use App\Records\StatementQueue;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddSpark\Marking\Drift;
use OddSpark\Marking\Mark as Computed;
use OddSpark\Marking\Rules;

/** Marks attempts, keeps every mark that was made, and what an instructor set otherwise. */
class MarkAttempts
{
    public function __construct(private readonly Attempts $attempts) {}

    /**
     * Marks an attempt that was handed back under the rules of its job; that mark stays its own.
     *
     * @param (callable(int, int): void)|null $progress entries done, of how many
     */
    public function mark(Attempt $attempt, ?callable $progress = null): void
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        [$mark, $debrief] = $this->account($attempt, $assignment, $progress);
        $rules = Rules::of($assignment->rules);
        DB::transaction(function () use ($attempt, $mark, $debrief, $rules): void {
            $attempt = Attempt::query()->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->mark === null) {
                $this->keep($attempt, $mark($rules), $rules, null);
            }
            $attempt->update(['debrief' => $debrief()]);
            $this->stand($attempt);
            StatementQueue::add($attempt->refresh());
        });
    }

    /**
     * Marks it once more under other rules, beside the mark that it has; under the same rules and engine once only.
     *
     * @param (callable(int, int): void)|null $progress
     */
    public function again(Attempt $attempt, Rules $rules, User $by, ?callable $progress = null): void
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        [$mark] = $this->account($attempt, $assignment, $progress);
        DB::transaction(function () use ($attempt, $mark, $rules, $by): void {
            $attempt = Attempt::query()->lockForUpdate()->findOrFail($attempt->id);
            $isThere = $attempt
                ->marks()
                ->whereNotNull('user_id')
                ->where('engine', Assignment::ENGINE)
                ->get()
                ->contains(
                    fn (Mark $m) => $m->rules['name'] === $rules->name && $m->rules['version'] === $rules->version,
                );
            if (! $isThere) {
                $this->keep($attempt, $mark($rules), $rules, $by);
            }
        });
    }

    /**
     * What other rules would make of an attempt; nothing of it is kept.
     *
     * @return array<string, mixed> {@see Computed::toArray}
     */
    public function under(Attempt $attempt, Rules $rules): array
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);

        return $this->account($attempt, $assignment, null)[0]($rules)->toArray();
    }

    /**
     * The mark that counts: the first that was computed, with what was set otherwise since; once a second marker has
     * finished, with what he set in place of what the first did.
     */
    public function stand(Attempt $attempt): void
    {
        // one after the other: two lines set at once both count
        Attempt::query()->whereKey($attempt->id)->lockForUpdate()->value('id');
        $first = Mark::query()->where('attempt_id', $attempt->id)->orderBy('id')->first();
        if ($first === null) {
            return;
        }
        $second = $attempt->contests()->whereNotNull('finished_at')->max('id');
        $attempt->update(['mark' => $this->with($first, $attempt->overrides()->with('user:id,name')
            // what is set after the second marking is again the first's to set
            ->where(fn ($q) => $second === null
                ? $q->whereNull('contest_id')
                : $q->where('contest_id', $second)->orWhere(fn ($q) => $q->whereNull('contest_id')
                    ->where('created_at', '>', $attempt->contests()->whereKey($second)->value('finished_at'))))
            ->get())]);
    }

    /**
     * As a second marker sees it: what was computed, with what he has set himself.
     *
     * @return array<string, mixed>
     */
    public function forSecond(Attempt $attempt, Contest $contest): array
    {
        $first = Mark::query()->where('attempt_id', $attempt->id)->orderBy('id')->firstOrFail();

        return $this->with(
            $first,
            $attempt->overrides()->with('user:id,name')->where('contest_id', $contest->id)->get(),
        );
    }

    /**
     * @param Collection<int, MarkOverride> $history
     * @return array<string, mixed>
     */
    private function with(Mark $first, Collection $history): array
    {
        $mark = $first->result;
        $shares = [];
        $isChanged = false;
        foreach ($mark['lines'] as $i => $line) {
            $of = $history->where('line', $line['id']);
            $latest = $of->last();
            if ($latest !== null) {
                $line['history'] = $of->map(fn (MarkOverride $o) => [
                    'by' => $o->user->name, 'at' => $o->created_at?->toIso8601String(), 'reason' => $o->reason,
                    'points' => $o->share === null ? null : round($o->share * $line['weight'], 1),
                ])->values()->all();
            }
            if ($latest?->share !== null) {
                $isChanged = true;
                $line['override'] = [
                    'by' => $latest->user->name,
                    'reason' => $latest->reason,
                    'computed' => $line['points'],
                ];
                $line['share'] = round($latest->share, 3);
                $line['points'] = round($latest->share * $line['weight'], 1);
            }
            $shares[$line['id']] = $latest->share ?? $line['share'];
            $mark['lines'][$i] = $line;
        }
        if ($isChanged) { // else what was computed stands, to the last digit
            $total = Computed::sum($shares, array_column($mark['lines'], 'weight', 'id'), $mark['hints']['points']);
            $mark['total'] = round($total, 1);
            $mark['passed'] = $total >= $mark['rules']['pass_mark'] && $mark['not_passed'] === [];
        }

        return $mark;
    }

    /**
     * What today's engine would show an attempt otherwise than it was shown.
     *
     * @return list<array{entry: int, shown: string, now: string}>
     */
    public function drift(Attempt $attempt): array
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);

        return Drift::of(
            $this->attempts->bench($assignment, $attempt->seed),
            $this->attempts->observations($attempt),
        );
    }

    /**
     * @param (callable(int, int): void)|null $progress
     * @return array{\Closure(Rules): Computed, \Closure(): array<string, mixed>} its mark under rules, and its debrief
     */
    private function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        return $assignment->work->kind()->account($attempt, $assignment, $progress);
    }

    private function keep(Attempt $attempt, Computed $mark, Rules $rules, ?User $by): void
    {
        Mark::query()->create([
            'attempt_id' => $attempt->id, 'user_id' => $by?->id, 'engine' => Assignment::ENGINE,
            'rules' => $rules->toArray(), 'result' => $mark->toArray(),
        ]);
    }
}
