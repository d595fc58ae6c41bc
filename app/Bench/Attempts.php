<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Entry;
use App\Models\Mark;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Kit;
use OddSpark\Bench\Observations;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\Snapshot;
use OddSpark\Senses\Record;

/**
 * Attempts at jobs: begun, given anew, and read again as what was done and seen in them.
 */
class Attempts
{
    public const GIVEN_ANEW = 'This program has been renewed since you began, and computes this appliance differently. '.
        'The job is given to you anew, from the arrival. What you had done is kept, and is not marked.';

    public function __construct(private readonly Plans $plans) {}

    /** The attempt of a person at a job: begun once, however often it is asked for at the same time. */
    public function start(Assignment $assignment, User $user): Attempt
    {
        $mine = ['assignment_id' => $assignment->id, 'user_id' => $user->id];
        $existing = Attempt::query()->where($mine)->first();
        if ($existing !== null) {
            return $existing;
        }
        $seed = ($assignment->seed * 31 + $user->id) & 0x7FFFFFFF;

        return Attempt::query()->createOrFirst($mine, [
            'seed' => $seed, 'begun_at' => now(),
            'stopped_at' => $assignment->course->stopped_at === null ? null : now(),
        ] + $this->arrived($assignment, $seed))->refresh();
    }

    /**
     * The attempt as it can go on: one that was begun under an older computation is given anew from its arrival, and
     * what was done in it is set aside.
     */
    public function current(Attempt $attempt): Attempt
    {
        if ($attempt->isOfToday()) {
            return $attempt;
        }

        return DB::transaction(function () use ($attempt): Attempt {
            $attempt = Attempt::query()->with('assignment')->lockForUpdate()->findOrFail($attempt->id);
            if (! $attempt->isOfToday()) {
                $done = $attempt->entries->map->only(['client_id', 'tick', 'act', 'outcome', 'sentence'])->all();
                $aside = [...$attempt->set_aside ?? [], ['engine' => $attempt->engine, 'entries' => $done]];
                $attempt->entries()->delete();
                $attempt->update(
                    ['set_aside' => $aside, 'entries_count' => 0] +
                        $this->arrived($attempt->assignment, $attempt->seed),
                );
            }

            return $attempt->refresh();
        });
    }

    /**
     * The attempt from its arrival once more, with readings that scatter otherwise; what was done and every mark of it
     * are kept aside.
     */
    public function again(Attempt $attempt): Attempt
    {
        return DB::transaction(function () use ($attempt): Attempt {
            $attempt = Attempt::query()->with('assignment')->lockForUpdate()->findOrFail($attempt->id);
            $done = $attempt->entries->map->only(['client_id', 'tick', 'act', 'outcome', 'sentence'])->all();
            $aside = [
                'engine' => $attempt->engine, 'entries' => $done,
                'marks' => $attempt->marks->map(fn (Mark $m) => ['rules' => $m->rules, 'result' => $m->result])->all(),
                'handed_back_at' => $attempt->handed_back_at?->toIso8601String(),
            ];
            $attempt->entries()->delete();
            $attempt->marks()->delete();
            $seed = ($attempt->seed * 31 + 7) & 0x7FFFFFFF;
            $attempt->update([
                'set_aside' => [...$attempt->set_aside ?? [], $aside], 'entries_count' => 0, 'handed_back_at' => null,
                'mark' => null, 'debrief' => null, 'pairs' => null, 'seed' => $seed, 'begun_at' => now(),
                'stopped_s' => 0, 'lost_s' => 0, 'hand_at' => null, 'curve' => null,
            ] + $this->arrived(Assignment::query()->findOrFail($attempt->assignment_id), $seed));

            return $attempt->refresh();
        });
    }

    /** @return array{engine: int, state: string, record: string} of an attempt before its first act */
    private function arrived(Assignment $assignment, int $seed): array
    {
        $bench = $this->bench($assignment, $seed);
        $state = $bench->resume($bench->arrive($assignment->visit)->state);

        return [
            'engine' => Assignment::ENGINE,
            'state' => Snapshot::pack($state->toArray()),
            'record' => Snapshot::pack($bench->kept()),
        ];
    }

    /**
     * What the trainee did and was shown, as the suspects and the mark need it.
     *
     * @param Entry|null $before only what came before this entry
     */
    public function observations(Attempt $attempt, ?Entry $before = null): Observations
    {
        $line = $this->telephone($attempt);
        $entries = [];
        foreach ($before === null ? $attempt->entries : $attempt->entries->where('id', '<', $before->id) as $entry) {
            [$act, $outcome] = $entry->done();
            $entries[] = [$line?->does($act, count($entries)) ?? $act, $outcome];
        }
        $state = BenchState::fromArray(Snapshot::unpack($attempt->state));
        $until = $before->tick ?? $state->now();

        return new Observations(
            $attempt->assignment->visit,
            $entries,
            Record::resumed(Snapshot::unpack($attempt->record))->until($until),
            $until,
            $attempt->assignment->said,
        );
    }

    /** The customer who does what is asked in an attempt; null where its trainee is there himself. */
    public function telephone(Attempt $attempt): ?AtTelephone
    {
        return $attempt->assignment->work === AssignmentWork::Remote
            ? new AtTelephone($this->plans->ofAssignment($attempt->assignment)->model, $attempt->seed)
            : null;
    }

    /** The bench of a job, with the meter that the trainee comes with. */
    public function bench(Assignment $assignment, ?int $seed): Bench
    {
        return new ($assignment->work->bench())(
            $this->plans->ofAssignment($assignment),
            $this->plans->faultOf($assignment),
            new Memory(),
            $seed,
            Kit::of($assignment->kit ?? []),
            $assignment->rules['stops'] ?? [],
        );
    }
}
