<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What can be told of a model's faults, found as a task: of a document by its hash, so that a job
 * that was given on it has it too.
 *
 * @property int $id
 * @property string $hash
 * @property string $visit
 * @property string|null $result
 * @property \Illuminate\Support\Carbon|null $updated_at
 */
class Analysis extends Model
{
    protected $fillable = ['hash', 'engine', 'visit', 'result'];

    protected $hidden = ['result'];

    public static function find(string $hash, string $visit): ?self
    {
        return self::query()->where(['hash' => $hash, 'engine' => Assignment::ENGINE, 'visit' => $visit])->first();
    }

    /**
     * What there is of the analysis of a model and visit: how far it is, or what was found. Null when nobody asked for
     * it.
     *
     * @return array{doing: string, share: float, error: string|null, result: mixed}|null
     */
    public static function shown(string $hash, string $visit): ?array
    {
        $analysis = self::find($hash, $visit);
        if ($analysis?->result !== null) {
            return [
                'doing' => 'Done',
                'share' => 1.0,
                'error' => null,
                'result' => json_decode($analysis->result, true),
            ];
        }
        $task = Task::find('analysis', self::subject($hash, $visit));

        return $task === null || $task->state === TaskState::Done
            ? null
            : ['doing' => $task->doing, 'share' => (float) $task->share, 'error' => $task->error, 'result' => null];
    }

    /** Asks for the analysis of a model and visit, unless there is one. */
    public static function want(User $user, string $hash, string $visit): void
    {
        if (self::find($hash, $visit)?->result === null) {
            Task::want(
                $user,
                'analysis',
                self::subject($hash, $visit),
                ['hash' => $hash, 'visit' => $visit],
                again: true,
            );
        }
    }

    private static function subject(string $hash, string $visit): string
    {
        return substr($hash, 0, 32).':'.Assignment::ENGINE.":$visit";
    }

    /**
     * The way down the tree to a fault, in words.
     *
     * @return array{difficulty: array<string, mixed>, path: list<array{ask: string, shows: string}>,
     *     look_alikes: list<string>}|null null when it is not analysed
     */
    public function key(string $fault): ?array
    {
        $result = $this->result === null ? null : json_decode($this->result, true);
        $rows = array_column($result['faults'] ?? [], null, 'id');
        if (! isset($rows[$fault])) {
            return null;
        }
        $path = [];
        $node = $result['tree'];
        while (isset($node['ask'])) {
            $next =
                array_values(array_filter($node['answers'], fn (array $a): bool => self::holds($a, $fault)))[0] ?? null;
            if ($next === null) {
                break;
            }
            $path[] = ['ask' => $node['ask'], 'shows' => $next['shows']];
            $node = $next;
        }

        return [
            'difficulty' => array_intersect_key(
                $rows[$fault],
                array_flip(['grade', 'questions', 'windows', 'minutes']),
            ),
            'path' => $path,
            'look_alikes' => array_map(fn (string $id) => $rows[$id]['title'], $rows[$fault]['look_alikes']),
        ];
    }

    /**
     * How many suspects a perfect hand has left after each of his questions, down the tree to a fault: of those that
     * stood when he came in, and without the questions that tell nothing of them.
     *
     * @param list<string> $entered ids of the suspects that stood
     * @return list<int>|null null when it is not analysed
     */
    public function left(string $fault, array $entered): ?array
    {
        $result = $this->result === null ? null : json_decode($this->result, true);
        if ($result === null || ! self::holds($result['tree'], $fault) || ! in_array($fault, $entered, true)) {
            return null;
        }
        $node = $result['tree'];
        $left = [count($entered)];
        while (isset($node['ask'])) {
            $node = array_values(
                array_filter($node['answers'], fn (array $answer): bool => self::holds($answer, $fault)),
            )[0];
            $count = count(array_intersect(self::under($node), $entered));
            if ($count < $left[count($left) - 1]) {
                $left[] = $count;
            }
        }

        return $left;
    }

    /**
     * @param array<string, mixed> $node
     * @return list<string> the faults at its ends
     */
    private static function under(array $node): array
    {
        return $node['faults'] ?? array_merge(...array_map(self::under(...), $node['answers']));
    }

    /** @param array<string, mixed> $node */
    private static function holds(array $node, string $fault): bool
    {
        if (isset($node['faults'])) {
            return in_array($fault, $node['faults'], true);
        }
        foreach ($node['answers'] as $answer) {
            if (self::holds($answer, $fault)) {
                return true;
            }
        }

        return false;
    }
}
