<?php

namespace App\Models;

use App\Jobs\RunTask;
use App\Tasks\Kinds;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/**
 * Something that takes long and somebody waits for. What is asked for twice is one task; of each person's one is at
 * work at a time (and an analysis, which has a worker of its own), so that nobody's wishes keep others waiting.
 *
 * @property int $id
 * @property int $user_id who waits for it
 * @property string $kind see Kinds
 * @property string $subject what it is about: with the kind, its identity
 * @property array<string, mixed> $payload
 * @property TaskState $state
 * @property float $share of all of it, 0 to 1
 * @property string $doing
 * @property string|null $error
 * @property array<string, mixed>|null $result
 * @property string|null $file
 * @property string|null $worker
 * @property int|null $job_id in the queue
 * @property int $tries
 * @property Carbon|null $started_at
 * @property Carbon|null $updated_at
 */
class Task extends Model
{
    /** Longest that one may take, s. */
    public const LONGEST_S = 900;

    /** Times that a worker may end in the midst of it, by a power cut or because it is too large. */
    private const MOST_TRIES = 5;

    /** Hours that what is done is kept, when it is only to be shown once. */
    private const KEPT_H = 24;

    protected $fillable = [
        'user_id',
        'kind',
        'subject',
        'payload',
        'state',
        'urgency',
        'share',
        'doing',
        'error',
        'result',
        'file',
        'worker',
        'job_id',
        'tries',
        'started_at',
    ];

    protected $hidden = ['payload', 'file'];

    private float $told = 0.0;

    protected function casts(): array
    {
        return ['state' => TaskState::class, 'payload' => 'array', 'result' => 'array', 'started_at' => 'datetime'];
    }

    public static function find(string $kind, string $subject): ?self
    {
        return self::query()->where(['kind' => $kind, 'subject' => $subject])->first();
    }

    /**
     * The task for something: begun if there is none, and anew if it failed.
     *
     * @param array<string, mixed> $payload
     * @param bool $again anew also when it was done: what came of it is not there any more
     */
    public static function want(
        User $user,
        string $kind,
        string $subject,
        array $payload = [],
        bool $again = false,
    ): self {
        $task = self::query()->createOrFirst(
            ['kind' => $kind, 'subject' => $subject],
            [
                'user_id' => $user->id,
                'payload' => $payload,
                'state' => TaskState::Waiting,
                'urgency' => Kinds::urgency($kind),
            ],
        );
        self::query()
            ->whereKey($task->id)
            ->whereIn('state', $again ? TaskState::over() : [TaskState::Failed])
            ->update([
                'user_id' => $user->id,
                'payload' => json_encode($payload),
                'state' => TaskState::Waiting,
                'error' => null,
                'share' => 0,
                'tries' => 0,
                'doing' => 'In line',
            ]);
        $task->refresh();
        if (! $task->isOver()) {
            self::startNext($task->user_id);
        }

        return $task->refresh();
    }

    /**
     * Gives a person's most urgent tasks to the workers, when none of his is with them: one that he waits for, and one
     * long one.
     */
    public static function startNext(int $user): void
    {
        DB::transaction(function () use ($user): void {
            User::query()->whereKey($user)->lockForUpdate()->value('id');
            foreach (['<', '>='] as $lane) {
                $his = self::query()->where('user_id', $user)->where('urgency', $lane, Kinds::LONG);
                if ((clone $his)->whereIn('state', [TaskState::Queued, TaskState::Running])->doesntExist()) {
                    $his->where('state', TaskState::Waiting)->orderBy('urgency')->orderBy('id')->first()?->enqueue();
                }
            }
        });
    }

    /** Says how far it is; written at most twice a second. */
    public function tell(float $share, string $doing = ''): void
    {
        if (microtime(true) - $this->told > 0.5) {
            $this->told = microtime(true);
            self::query()
                ->whereKey($this->id)
                ->update(['share' => min(1.0, $share)] + ($doing === '' ? [] : ['doing' => $doing]));
        }
    }

    public function isOver(): bool
    {
        return $this->state->isOver();
    }

    /** @return array{id: int, state: TaskState, share: float, doing: string, error: string|null} */
    public function shown(): array
    {
        return [
            'id' => $this->id,
            'state' => $this->state,
            'share' => (float) $this->share,
            'doing' => $this->doing,
            'error' => $this->error,
        ];
    }

    /**
     * What a worker left when it was killed is taken up again by the next that begins under its name; and what was
     * taken from the queue and never begun, or never came to it, goes back there.
     */
    public static function takeUp(string $worker, bool $justBegun): void
    {
        if ($justBegun) {
            foreach (self::query()->where(['state' => TaskState::Running, 'worker' => $worker])->get() as $task) {
                $tooLong = $task->started_at?->lt(now()->subSeconds(self::LONGEST_S - 5)) ?? false;
                if ($tooLong || $task->tries >= self::MOST_TRIES) {
                    $task->fail(
                        $tooLong
                            ? 'It took longer than '.
                                intdiv(self::LONGEST_S, 60).
                                ' minutes, the limit, and was stopped.'
                            : 'It was started '.self::MOST_TRIES.' times and never finished. It may be too large.',
                    );
                } else {
                    $task->enqueue();
                }
            }
        }
        $lost = self::query()
            ->where('state', TaskState::Queued)
            ->where('updated_at', '<', now()->subSeconds(5))
            ->whereNotNull('job_id');
        DB::table('jobs')
            ->whereIn('id', $lost->pluck('job_id'))
            ->whereNotNull('reserved_at')
            ->update(['reserved_at' => null]);
        $waiting = self::query()
            ->where('state', TaskState::Waiting)
            ->where('updated_at', '<', now()->subSeconds(5))
            ->distinct()
            ->limit(20)
            ->pluck('user_id');
        foreach ($waiting as $user) {
            self::startNext((int) $user);
        }
    }

    /** What was made to be fetched once is not kept for ever. */
    public static function forgetOld(): void
    {
        self::query()
            ->whereIn('kind', ['paper', 'import', 'hint', 'give', 'preview'])
            ->whereIn('state', TaskState::over())
            ->where('updated_at', '<', now()->subHours(self::KEPT_H))
            ->delete();
    }

    /** @param array<string, mixed>|null $result */
    public function finish(?array $result): void
    {
        $this->end([
            'state' => TaskState::Done,
            'share' => 1,
            'doing' => 'Done',
            'result' => $result === null ? null : json_encode($result, JSON_THROW_ON_ERROR),
        ]);
    }

    public function fail(string $sentence): void
    {
        $this->end(['state' => TaskState::Failed, 'error' => mb_substr($sentence, 0, 900)]);
    }

    /** @param array<string, mixed> $with */
    private function end(array $with): void
    {
        self::query()->whereKey($this->id)->where('state', TaskState::Running)->update($with);
        self::startNext($this->user_id);
    }

    private function enqueue(): void
    {
        $this->update(['state' => TaskState::Queued, 'worker' => null]);
        $job = Queue::push(new RunTask($this->id), '', Kinds::queue($this->kind));
        self::query()->whereKey($this->id)->update(['job_id' => is_numeric($job) && $job > 0 ? $job : null]);
    }
}
