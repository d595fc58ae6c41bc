<?php

namespace App\Bench;

use App\Models\Attempt;
use App\Models\Entry;
use App\Models\Task;
use Illuminate\Support\Facades\DB;
use OddSpark\Acts\Act;
use OddSpark\Acts\ActError;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\References;
use OddSpark\Bench\Bench;
use OddSpark\Bench\WarmUp;
use OddSpark\Bench\Wording;
use OddSpark\Marking\Rules;
use OddSpark\Run\BenchState;
use OddSpark\Run\Snapshot;
use OddSpark\Senses\Record;

/**
 * An attempt between requests: the core's bench taken from its snapshot, one thing done, and put back.
 *
 * A reply holds what can be perceived over a horizon that depends on the kind of job and on nothing
 * else; the client plays it, and only what it says it has played is kept as observed.
 */
class Workbench
{
    /** Longest wait for something to happen, ms. */
    private const LONGEST_WAIT = 900_000;

    /** What of an attempt an act needs: not its mark, nor its debrief. */
    private const KEPT = [
        'id',
        'assignment_id',
        'user_id',
        'seed',
        'state',
        'record',
        'handed_back_at',
        'engine',
        'entries_count',
        'begun_at',
        'updated_at',
    ];

    /** Entries that an attempt may have; handing back is always possible. Marking and debriefs are made for as many. */
    public const MOST_ENTRIES = 1000;

    /** Who has closed a call when its time was over. */
    private const CLOCK = 'clock';

    /** Grace for a client whose clock runs a little ahead of the horizon, ms. */
    private const GRACE = 1500;

    public function __construct(private readonly Attempts $attempts) {}

    /**
     * Does an act; one that was done already is not done again.
     *
     * @param array<string, mixed> $json an act of the action-log format, with the client's id
     * @return array<string, mixed> the reply
     *
     * @throws ActError when it is not an act of the catalogue, has no id, or is not allowed in this job
     * @throws StaleAttempt when its moment is not the attempt's
     */
    public function act(Attempt $attempt, array $json): array
    {
        $act = Catalogue::act($json);
        $clientId = $json['id'] ?? null;
        if (! is_string($clientId) || $clientId === '' || strlen($clientId) > 40) {
            throw new ActError('/id', 'Must be a text of 1 to 40 letters, another for each act.');
        }

        $reply = $this->at(
            $attempt,
            function (Attempt $attempt, Bench $bench, BenchState $state) use ($act, $clientId): array {
                // one that was done already lies at or before the moment that the attempt has come to
                $done = $act->tick > $state->now() ? null : $attempt->entries()->where('client_id', $clientId)->first();
                if ($done !== null) {
                    return [$state, $done];
                }
                $this->inStep($attempt, $state, $act->tick);
                $this->allowed($attempt, $act);
                References::check($act, $bench->plan->model);
                [$state, $outcome] = $bench->do($state, $act);
                $entry = $attempt->entries()->create([
                    'client_id' => $clientId,
                    'tick' => $act->tick,
                    'act' => $act->toArray(),
                    'outcome' => $act->name === 'hint'
                            ? ['waits' => true, 'seen' => ['hint' => '']] + Told::outcome($outcome)
                            : Told::outcome($outcome),
                    'sentence' => (new Wording($bench->plan->model))->entry($act, $outcome),
                ]);
                $attempt->entries_count++;
                if ($act->name === 'hand_back') {
                    $attempt->handed_back_at = now();
                }

                return [$state, $entry];
            }, fn (Attempt $attempt): ?Entry => $act->name === 'hand_back'
                ? $attempt->entries()->reorder('id', 'desc')->first()
                : $attempt->entries()->where('client_id', $clientId)->first());
        if ($act->name === 'hint' && ! $reply['handed_back']) { // worked out beside the site, with the attempt free for what is done meanwhile
            $reply['entry'] = $this->hinted($attempt, $clientId);
        }

        return $reply;
    }

    /** @throws ActError */
    private function allowed(Attempt $attempt, Act $act): void
    {
        if ($act->name === 'hint' && ! $attempt->assignment->kind->hasHints()) {
            throw new ActError('/act', 'There are no hints in an examination.');
        }
        if (in_array($act->name, Rules::of($attempt->assignment->rules)->barred, true)) {
            throw new ActError('/act', 'The house rules of this job do not allow that.');
        }
        if ($attempt->entries_count >= self::MOST_ENTRIES && $act->name !== 'hand_back') {
            throw new ActError(
                '/act',
                'This attempt has '.self::MOST_ENTRIES.' entries, the most allowed. Close the call.',
            );
        }
    }

    /**
     * The entry of a hint, which is asked for if it is not yet.
     *
     * @return array<string, mixed>
     */
    private function hinted(Attempt $attempt, string $clientId): array
    {
        $entry = $attempt->entries()->where('client_id', $clientId)->firstOrFail();
        if (isset($entry->outcome['waits'])) {
            Task::want($attempt->user, 'hint', "entry:$entry->id", ['entry' => $entry->id]);
            $entry->refresh();
        }

        return $entry->shown();
    }

    /**
     * A hint that is being worked out, or has been: how far it is, and its entry.
     *
     * @return array{entry: array<string, mixed>, share: float, error: string|null}
     */
    public function waiting(Attempt $attempt, string $clientId): array
    {
        $shown = $this->hinted($attempt, $clientId);
        $task = isset($shown['waits'])
            ? Task::find('hint', 'entry:'.$attempt->entries()->where('client_id', $clientId)->value('id'))
            : null;

        return ['entry' => $shown, 'share' => (float) ($task->share ?? 1), 'error' => $task?->error];
    }

    /**
     * Says that time was played up to a moment.
     *
     * @return array<string, mixed>
     */
    public function play(Attempt $attempt, int $tick): array
    {
        return $this->at($attempt, function (Attempt $attempt, Bench $bench, BenchState $state) use ($tick): array {
            $now = $state->now();
            if ($tick <= $now) {
                return [$state, null]; // another tab was further
            }
            $this->inStep($attempt, $state, $tick);

            return [$bench->advance($state, $tick), null];
        });
    }

    /**
     * On to the next thing that this person can perceive from where he is.
     *
     * @return array<string, mixed>
     */
    public function next(Attempt $attempt): array
    {
        return $this->at($attempt, fn (Attempt $attempt, Bench $bench, BenchState $state): array => [
            $bench->advance($state, $state->now() + self::LONGEST_WAIT, true), null,
        ]);
    }

    /**
     * Where the attempt stands, nothing done.
     *
     * @return array<string, mixed>
     */
    public function look(Attempt $attempt): array
    {
        $state = BenchState::fromArray(Snapshot::unpack($attempt->state));
        $bench = $this->attempts->bench($attempt->assignment, $attempt->seed);
        $state = $bench->resume($state);

        return $this->reply($attempt, $bench, $state, null, $state->now());
    }

    /**
     * @param callable(Attempt, Bench, BenchState): array{BenchState, Entry|null} $do
     * @param (callable(Attempt): (Entry|null))|null $again the entry that is answered once more, of one that is over
     * @return array<string, mixed>
     */
    private function at(Attempt $attempt, callable $do, ?callable $again = null): array
    {
        return DB::transaction(function () use ($attempt, $do, $again): array {
            $attempt = Attempt::query()
                ->select(self::KEPT)
                ->with('assignment')
                ->lockForUpdate()
                ->findOrFail($attempt->id);
            $entry = $attempt->isOpen() || $again === null ? null : $again($attempt);
            if (! $attempt->isOpen() && $entry === null) {
                throw new StaleAttempt('This call is closed. Its debrief is open to you.');
            }
            if (! $attempt->isOfToday()) {
                throw new StaleAttempt(Attempts::GIVEN_ANEW);
            }
            $state = BenchState::fromArray(Snapshot::unpack($attempt->state));
            $bench = $this->attempts->bench($attempt->assignment, $attempt->seed);
            $bench->record = Record::resumed(Snapshot::unpack($attempt->record));
            $state = $bench->resume($state);
            $before = $state->now();
            if ($entry !== null) {
                return $this->reply($attempt, $bench, $state, $entry, $before);
            }
            [$state, $entry] = JobClock::isOver($attempt)
                ? $this->timeIsUp($attempt, $bench, $state)
                : $do($attempt, $bench, $state);
            $attempt->state = Snapshot::pack($state->toArray());
            $attempt->record = Snapshot::pack($bench->record->kept());
            $attempt->save();

            return $this->reply($attempt, $bench, $state, $entry, $before);
        });
    }

    /**
     * Closes the call as it stands, since its time is over.
     *
     * @return array{BenchState, Entry}
     */
    private function timeIsUp(Attempt $attempt, Bench $bench, BenchState $state): array
    {
        $act = Catalogue::act(['act' => 'hand_back', 'at_s' => $state->now() / 1000]);
        [$state, $outcome] = $bench->do($state, $act);
        $entry = $attempt->entries()->create([
            'client_id' => self::CLOCK,
            'tick' => $act->tick,
            'act' => $act->toArray(),
            'outcome' => Told::outcome($outcome),
            'sentence' => 'Time is up: '.lcfirst((new Wording($bench->plan->model))->entry($act, $outcome)),
        ]);
        $attempt->entries_count++;
        $attempt->handed_back_at = now();

        return [$state, $entry];
    }

    /** Closes an attempt whose time is over; tells whether it did. */
    public function closeIfOver(Attempt $attempt): bool
    {
        if (! $attempt->isOpen() || ! $attempt->isOfToday() || ! JobClock::isOver($attempt)) {
            return false;
        }
        try {
            $this->at($attempt, fn (Attempt $attempt, Bench $bench, BenchState $state): array => [$state, null]);
        } catch (StaleAttempt) {
            return false; // closed meanwhile, by its trainee or by the other worker
        }

        return true;
    }

    private function inStep(Attempt $attempt, BenchState $state, int $tick): void
    {
        $now = $state->now();
        if ($tick < $now) {
            throw new StaleAttempt(
                'The bench is further on than this window: it has been brought up to date, look again and repeat it.',
            );
        }
        if ($tick > $now + $attempt->assignment->kind->horizon() * 1000 + self::GRACE) {
            throw new StaleAttempt('That moment has not been played yet.');
        }
    }

    /**
     * @return array<string, mixed>
     */
    private function reply(Attempt $attempt, Bench $bench, BenchState $state, ?Entry $entry, int $before): array
    {
        $now = $state->now();
        $until = $now + $attempt->assignment->kind->horizon() * 1000;
        $past = $bench->record;
        $passed = Told::after($past->until($now), $before);
        $bench->record = new Record();
        $state = $bench->resume($state);
        $bench->advance($state, $until);
        $ahead = $bench->record->until($until);
        $bench->record = $past;

        return [
            'entry' => $entry?->shown(),
            'now_s' => $now / 1000,
            'until_s' => $until / 1000,
            'scene' => Told::scene($bench, $state),
            'passed' => Told::channels($bench, $passed),
            'ahead' => Told::channels($bench, $ahead),
            'handed_back' => ! $attempt->isOpen(),
        ] +
            (! $attempt->assignment->kind->isMarked()
                ? ['tried' => WarmUp::done($this->attempts->observations($attempt->refresh())->entries)]
                : []);
    }
}
