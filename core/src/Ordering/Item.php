<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Words\Words;

/**
 * One thing that is asked of a sequence: choices to be picked from, or to be put in order. What is right stands in it,
 * and goes to nobody who is asked.
 *
 * @phpstan-type Choice array{id: string, key: string, text: string}
 * @phpstan-type Lane array{id: string, title: string, stretches: list<array{int, int}>}
 * @phpstan-type Written array{sort: string, prompt: string, choices: list<Choice>, right: list<string>, told: string,
 *     lanes: list<Lane>, until: int, at: int}
 */
final readonly class Item
{
    /** All the choices, put in order. */
    public const ORDER = 'order';

    /** What proves a step. */
    public const PROOF = 'proof';

    /** What comes next. */
    public const NEXT = 'next';

    /** What follows when something opens. */
    public const IF = 'if';

    /** Which lane of a chart is wrong. */
    public const CHART = 'chart';

    /** Where a recorded run stopped. */
    public const STOPPED = 'stopped';

    /** What may have stopped it. */
    public const WHY = 'why';

    /**
     * @param string $sort one of those above
     * @param list<Choice> $choices in the order in which they are shown; key: what a choice means, unknown to those
     *     who are asked
     * @param list<string> $right ids: of an order all of them, else any that may be picked
     * @param string $told the answer in a sentence
     * @param list<Lane> $lanes a chart that goes with it, ms; none: []
     * @param int $until where the chart ends, ms
     * @param int $at when to look at it, ms after the first of the run
     */
    public function __construct(
        public string $sort,
        public string $prompt,
        public array $choices,
        public array $right,
        public string $told,
        public array $lanes = [],
        public int $until = 0,
        public int $at = 0,
    ) {}

    public function isOrder(): bool
    {
        return $this->sort === self::ORDER;
    }

    /** Whether it asks what proves, and what stops, rather than what comes. */
    public function isOfProof(): bool
    {
        return in_array($this->sort, [self::PROOF, self::STOPPED, self::WHY, self::IF], true);
    }

    /**
     * Whether that can be an answer: all of it in an order, else one.
     *
     * @param list<string> $picked ids
     */
    public function takes(array $picked): bool
    {
        $known = array_column($this->choices, 'id');
        sort($known);
        $all = $picked;
        sort($all);

        return $this->isOrder() ? $all === $known : count($picked) === 1 && in_array($picked[0], $known, true);
    }

    /** @param list<string> $picked ids; none: nothing was answered */
    public function judge(array $picked): Judgement
    {
        if ($picked === []) {
            return new Judgement([], 0.0, Words::say('ordering.judgement.no_answer'));
        }
        if ($this->isOrder()) {
            return $this->judgeOrder($picked);
        }
        $isRight = in_array($picked[0], $this->right, true);

        return new Judgement($picked, $isRight ? 1.0 : 0.0, $this->told);
    }

    /**
     * By pairs: those that stand as they come, less those that are turned round. Whoever shuffles gets nothing.
     *
     * @param list<string> $picked
     */
    private function judgeOrder(array $picked): Judgement
    {
        $texts = array_column($this->choices, 'text', 'id');
        $at = array_map(fn (string $id): int => (int) array_search($id, $this->right, true), $picked);
        $sum = $pairs = 0;
        $first = null;
        foreach ($at as $i => $x) {
            foreach (array_slice($at, $i + 1) as $y) {
                $pairs++;
                $sum += $x < $y ? 1 : -1;
                $first ??= $x < $y ? null : [$texts[$this->right[$y]], $texts[$this->right[$x]]];
            }
        }

        return new Judgement($picked, max(0.0, $sum / max(1, $pairs)), $first === null
            ? Words::say('ordering.judgement.in_order')
            : Words::say('ordering.judgement.before', ['first' => $first[0], 'then' => $first[1]]));
    }

    /** @return array{where: string, circuit: string, reading: string} hints by grade, each telling more */
    public function hints(): array
    {
        $texts = array_column($this->choices, 'text', 'id');
        if ($this->isOrder()) {
            $first = fn (int $many): string => Words::say('ordering.hint.begins', [
                'steps' => implode(' → ', array_map(
                    fn (string $id): string => $texts[$id],
                    array_slice($this->right, 0, $many),
                )),
            ]);
            $all = count($this->right);

            return [
                'where' => $first(1),
                'circuit' => $first((int) ceil($all / 3)),
                'reading' => $first((int) ceil(2 * $all / 3)),
            ];
        }
        $wrong = array_values(array_diff_key($texts, array_flip($this->right)));
        $not = fn (float $share): string => Words::say('ordering.hint.not', [
            'these' => implode('; ', array_slice($wrong, 0, (int) ceil($share * (count($wrong) - 1)))),
        ]);

        return ['where' => $not(0.3), 'circuit' => $not(0.6), 'reading' => $not(1.0)];
    }

    /** @return Written for {@see of}: it holds the answer, and goes to nobody who is asked */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @param Written $array from {@see toArray} */
    public static function of(array $array): self
    {
        return new self(...$array);
    }
}
