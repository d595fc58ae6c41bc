<?php

namespace App\Models;

use App\Jobs\AnalyseAppliance;
use Illuminate\Database\Eloquent\Model;

/**
 * What can be told of a model's faults, found as a queue job: of a document by its hash, so that a job
 * that was given on it has it too.
 *
 * @property int $id
 * @property string $hash
 * @property string $visit
 * @property string $doing
 * @property float $share of all of it, 0 to 1
 * @property string|null $error
 * @property string|null $result
 * @property \Illuminate\Support\Carbon|null $updated_at
 */
class Analysis extends Model
{
    protected $fillable = ['hash', 'engine', 'visit', 'doing', 'share', 'error', 'result'];

    protected $hidden = ['result'];

    public static function find(string $hash, string $visit): ?self
    {
        return self::query()->where(['hash' => $hash, 'engine' => Assignment::ENGINE, 'visit' => $visit])->first();
    }

    /** The analysis of a model and visit, begun if it is not; one that failed, or of which nothing was heard any more, is begun anew. */
    public static function want(Appliance $appliance, string $visit): self
    {
        $analysis = self::find($appliance->hash, $visit);
        if ($analysis !== null && ($analysis->error !== null || $analysis->result === null && $analysis->updated_at?->lt(now()->subMinutes(5)))) {
            $analysis->delete();
            $analysis = null;
        }
        if ($analysis === null) {
            $analysis = self::query()->createOrFirst(['hash' => $appliance->hash, 'engine' => Assignment::ENGINE, 'visit' => $visit], ['doing' => 'Waiting for its turn']);
            if ($analysis->wasRecentlyCreated) {
                AnalyseAppliance::dispatch($appliance->id, $analysis->id);
            }
        }

        return $analysis;
    }

    /** @return array{doing: string, share: float, error: string|null, result: mixed} */
    public function shown(): array
    {
        return ['doing' => $this->doing, 'share' => (float) $this->share, 'error' => $this->error, 'result' => $this->result === null ? null : json_decode($this->result, true)];
    }

    /**
     * The way down the tree to a fault, in words.
     *
     * @return array{difficulty: array<string, mixed>, path: list<array{ask: string, shows: string}>, look_alikes: list<string>}|null null when it is not analysed
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
            $next = array_values(array_filter($node['answers'], fn (array $a): bool => self::holds($a, $fault)))[0] ?? null;
            if ($next === null) {
                break;
            }
            $path[] = ['ask' => $node['ask'], 'shows' => $next['shows']];
            $node = $next;
        }

        return [
            'difficulty' => array_intersect_key($rows[$fault], array_flip(['grade', 'questions', 'windows', 'minutes'])),
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
            $node = array_values(array_filter($node['answers'], fn (array $answer): bool => self::holds($answer, $fault)))[0];
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
