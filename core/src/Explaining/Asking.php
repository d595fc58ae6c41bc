<?php

declare(strict_types=1);

namespace OddSpark\Explaining;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Building\HealthyRun;
use OddSpark\Building\Why;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Run\Memory;

/**
 * What can be asked of an appliance, sound or with a fault: why a load is off at moments after the arrival. The answers
 * are read off the run and the wiring.
 *
 * @phpstan-import-type Reason from Why
 * @phpstan-import-type Link from Question
 */
final readonly class Asking
{
    /** Moments that are asked about, s after the arrival. */
    private const MOMENTS_S = [2, 8, 20, 40, 75, 150, 400];

    /** More links than these nobody says in one breath. */
    private const MOST_LINKS = 9;

    public function __construct(private Plan $plan, private Fault $fault, private string $visit) {}

    /** @return list<array{id: string, part: string, title: string}> what can be picked: all that a part is made of */
    public function pickable(): array
    {
        $pickable = [];
        foreach (array_keys($this->plan->primitives) as $id) {
            [$part, $name] = Model::split((string) $id);
            if ($this->plan->model->part($part) !== null) {
                $pickable[] = ['id' => (string) $id, 'part' => $part, 'title' => str_replace('_', ' ', $name)];
            }
        }

        return $pickable;
    }

    /**
     * @param int $seed another gives another choice
     * @return list<Question> in the order of their moments; fewer where there is less to ask
     */
    public function questions(int $count, int $seed): array
    {
        $offers = $this->all();
        usort($offers, fn (Question $x, Question $y): int => crc32("$seed $x->load $x->tick") <=>
            crc32("$seed $y->load $y->tick"));
        $chosen = $loads = $roots = [];
        while (count($chosen) < $count && $offers !== []) {
            $best = null;
            foreach ($offers as $i => $q) {
                // over several parts before one, another load, another beginning
                $worth = min(2, self::parts($q)) - ($loads[$q->load] ?? 0) - ($roots[self::root($q)] ?? 0);
                if ($best === null || $worth > $best[0]) {
                    $best = [$worth, $i];
                }
            }
            $taken = $offers[$best[1]];
            unset($offers[$best[1]]);
            $chosen[] = $taken;
            $loads[$taken->load] = ($loads[$taken->load] ?? 0) + 1;
            $roots[self::root($taken)] = ($roots[self::root($taken)] ?? 0) + 1;
        }
        usort($chosen, fn (Question $x, Question $y): int => $x->tick <=> $y->tick);

        return $chosen;
    }

    /** @return list<Question> */
    public function all(): array
    {
        $memory = new Memory();
        $questions = [];
        foreach (self::MOMENTS_S as $s) {
            $run = new HealthyRun($this->plan, $this->visit, 1000 * $s, $memory, $this->fault);
            $why = new Why($run);
            foreach ($why->askable() as $load) {
                $question = $load['on'] ? null : $this->about($why, $load['id'], $load['title'], 1000 * $s);
                if ($question !== null) { // the same reason later is no other question
                    $questions[$load['id'].' '.json_encode(array_column($question->chains[0], 'id'))] ??= $question;
                }
            }
        }

        return array_values($questions);
    }

    public function question(string $load, int $tick): ?Question
    {
        $why = new Why(new HealthyRun($this->plan, $this->visit, $tick, new Memory(), $this->fault));
        $titles = array_column($why->askable(), 'title', 'id');

        return $this->about($why, $load, $titles[$load] ?? $load, $tick);
    }

    private function about(Why $why, string $load, string $title, int $tick): ?Question
    {
        $part = Model::split($load)[0];
        $kind = $this->plan->model->kindOf($part);
        if ($kind === null || $kind->those(Decides::class) !== []) {
            return null; // an input of a control is off as long as the control waits for it
        }
        $chains = array_values(array_filter(
            self::chains($why->of($load), $part),
            fn (array $chain): bool => $chain !== [] && count($chain) <= self::MOST_LINKS,
        ));

        return $chains === [] ? null : new Question($load, $title, $tick, $chains);
    }

    /**
     * @param Reason $reason
     * @return list<list<Link>>
     */
    private static function chains(array $reason, string $without): array
    {
        $link = $reason['id'] === null || $reason['part'] === null || $reason['part'] === $without
            ? []
            : [['id' => $reason['id'], 'part' => $reason['part'], 'text' => $reason['text']]];
        if ($reason['because'] === []) {
            return [$link];
        }
        $chains = [];
        foreach ($reason['because'] as $next) {
            foreach (self::chains($next, $without) as $chain) {
                $chains[] = ($chain[0]['id'] ?? null) === ($link[0]['id'] ?? '') ? $chain : [...$link, ...$chain];
            }
        }

        return $chains;
    }

    private static function parts(Question $question): int
    {
        return count(array_unique(array_column($question->chains[0], 'part')));
    }

    private static function root(Question $question): string
    {
        $chain = $question->chains[0];

        return $chain[count($chain) - 1]['id'];
    }
}
