<?php

namespace App\Bench;

use App\Live\Push;
use App\Models\Attempt;
use App\Models\Entry;
use App\Work\OnSheet;
use Illuminate\Support\Facades\DB;
use OddSpark\Acts\Act;
use OddSpark\Acts\ActError;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\References;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Wording;
use OddSpark\Remote\PhoneBench;
use OddSpark\Run\BenchState;
use OddSpark\Run\Snapshot;

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
        'id', 'assignment_id', 'user_id', 'seed', 'state', 'record', 'handed_back_at',
        'engine', 'entries_count', 'begun_at', 'updated_at', 'stopped_at', 'stopped_s',
    ];

    /** Entries that an attempt may have; handing back is always possible. Marking and debriefs are made for as many. */
    public const MOST_ENTRIES = 1000;

    /**
     * Id of the entry by which a call was closed that its trainee did not close: its time was over, or somebody ended
     * it.
     */
    private const NOT_HE = 'clock';

    public const STOPPED = 'Your instructor has stopped all benches. Nothing is lost: wait until they go on.';

    /** Grace for a client whose clock runs a little ahead of the horizon, ms. */
    private const GRACE = 1500;

    public function __construct(
        private readonly Attempts $attempts,
        private readonly Push $push,
        private readonly Hints $hints,
        private readonly Replies $replies,
    ) {}

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
                $line = $this->attempts->telephone($attempt);
                Allowed::check($attempt, $act, $line);
                References::check($act, $bench->plan->model);
                if ($bench instanceof PhoneBench) {
                    $bench->asked = $act;
                }
                [$state, $outcome] = $bench->do($state, $line?->does($act, $attempt->entries_count) ?? $act);
                if ($outcome->refused === null && $act->passes() > 0) {
                    $state = $bench->advance($state, $act->tick + $act->passes());
                }
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
        if ($reply['entry'] !== null) {
            $this->tellWall($attempt, $reply);
        }
        // worked out beside the site, with the attempt free for what is done meanwhile
        if ($act->name === 'hint' && ! $reply['handed_back']) {
            $reply['entry'] = $this->hints->asked($attempt, $clientId);
        }

        return $reply;
    }

    /**
     * Whoever looks at the class sees what was done.
     *
     * @param array<string, mixed> $reply
     */
    private function tellWall(Attempt $attempt, array $reply): void
    {
        $this->push->wall($attempt->assignment->course_id, 'acted', [
            'attempt' => $attempt->id, 'last' => $reply['entry']['text'], 'done' => $reply['handed_back'],
            'unsafe' => array_values((array) $reply['entry']['dangers'])[0] ?? null,
        ]);
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

        return $this->replies->of($attempt, $bench, $state, null, $state->now());
    }

    /**
     * @param callable(Attempt, Bench, BenchState): array{BenchState, Entry|null} $do
     * @param (callable(Attempt): (Entry|null))|null $again the entry that is answered once more, of one that is over
     * @return array<string, mixed>
     */
    private function at(Attempt $attempt, callable $do, ?callable $again = null, bool $closes = false): array
    {
        return DB::transaction(function () use ($attempt, $do, $again, $closes): array {
            $given = $attempt;
            $attempt = Attempt::query()
                ->select(self::KEPT)
                ->with('assignment')
                ->lockForUpdate()
                ->findOrFail($given->id);
            $given->setRelation('assignment', $attempt->assignment); // who asked reads it next
            $entry = $attempt->isOpen() || $again === null ? null : $again($attempt);
            if (! $attempt->isOpen() && $entry === null) {
                throw new StaleAttempt('This call is closed. Its debrief is open to you.');
            }
            if (! $attempt->isOfToday()) {
                throw new StaleAttempt(Attempts::GIVEN_ANEW);
            }
            if (! $attempt->assignment->work->isAtBench()) {
                throw new ActError('/act', 'This job is done on its sheet, and not at the bench.');
            }
            $state = BenchState::fromArray(Snapshot::unpack($attempt->state));
            $bench = $this->attempts->bench($attempt->assignment, $attempt->seed);
            $bench->goOnFrom(Snapshot::unpack($attempt->record));
            $state = $bench->resume($state);
            $before = $state->now();
            if ($entry !== null) {
                return $this->replies->of($attempt, $bench, $state, $entry, $before);
            }
            [$state, $entry] = match (true) {
                $closes => $this->closed($attempt, $bench, $state, 'Closed by the instructor: '),
                JobClock::isOver($attempt) => $this->closed($attempt, $bench, $state, 'Time is up: '),
                $attempt->stopped_at !== null => throw new ActError('/', self::STOPPED),
                default => $do($attempt, $bench, $state),
            };
            $attempt->state = Snapshot::pack($state->toArray());
            $attempt->record = Snapshot::pack($bench->kept());
            $attempt->save();

            return $this->replies->of($attempt, $bench, $state, $entry, $before);
        });
    }

    /**
     * Closes the call as it stands, which its trainee did not do.
     *
     * @return array{BenchState, Entry}
     */
    private function closed(Attempt $attempt, Bench $bench, BenchState $state, string $why): array
    {
        $act = Catalogue::act(['act' => 'hand_back', 'at_s' => $state->now() / 1000]);
        [$state, $outcome] = $bench->do($state, $act);
        $entry = $attempt->entries()->create([
            'client_id' => self::NOT_HE,
            'tick' => $act->tick,
            'act' => $act->toArray(),
            'outcome' => Told::outcome($outcome),
            'sentence' => $why.lcfirst((new Wording($bench->plan->model))->entry($act, $outcome)),
        ]);
        $attempt->entries_count++;
        $attempt->handed_back_at = now();

        return [$state, $entry];
    }

    /** Closes an attempt whose time is over; tells whether it did. */
    public function closeIfOver(Attempt $attempt): bool
    {
        return JobClock::isOver($attempt) && $this->close($attempt);
    }

    /** Closes an attempt as it stands; tells whether it did. */
    public function close(Attempt $attempt): bool
    {
        if (! $attempt->isOpen() || ! $attempt->isOfToday()) {
            return false;
        }
        $kind = $attempt->assignment->work->kind();
        if ($kind instanceof OnSheet) {
            return $kind->close($attempt);
        }
        $isOver = JobClock::isOver($attempt);
        try {
            $this->at(
                $attempt,
                fn (Attempt $attempt, Bench $bench, BenchState $state): array => [$state, null],
                closes: ! $isOver,
            );
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
}
