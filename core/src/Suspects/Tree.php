<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

/**
 * Which question to ask first, and which next after each answer: greedy by the bits expected, with a look one answer
 * ahead where few suspects are left, and by trying every order where there are no more than a handful.
 *
 * @phpstan-type Node array{suspects: list<int>, question: Question|null, branches: list<array{string, mixed}>}
 */
final readonly class Tree
{
    /** Suspects up to which the answer after next is thought of too, and among how many questions. */
    private const AHEAD_OF = 24;

    private const AHEAD = 5;

    /** Suspects above which only so many questions are weighed, the most telling of those that came before. */
    private const MANY = 100;

    private const WEIGHED = 2000;

    /** Suspects up to which every order of asking is tried, and with how many questions. */
    private const EXACT_OF = 5;

    private const EXACT = 12;

    private const LEAST_BITS = 1e-9;

    /**
     * @param Node $root
     * @param list<string> $ids of the suspects, by number
     * @param list<float> $weights
     * @param int $most outcomes of the question that has most
     */
    private function __construct(public array $root, public array $ids, private array $weights, public int $most) {}

    /**
     * @param list<Question> $questions
     * @param array<string, float> $weights of the suspects, in the order of the questions' values
     * @param (callable(list<int>, list<float>): list<Question>)|null $finer asked of those that no question parts
     */
    public static function grow(array $questions, array $weights, ?callable $finer = null): self
    {
        $ids = array_map(strval(...), array_keys($weights));
        $weights = array_values($weights);
        $suspects = array_keys($ids);
        $most = 2;
        $bits = [];
        foreach ($questions as $i => $question) {
            $bins = $question->split($suspects);
            $most = max($most, count($bins));
            $bits[$i] = InformationGain::bits($bins, $weights) * $question->handiness();
        }
        arsort($bits);

        $ordered = array_map(fn (int $i) => $questions[$i], array_keys($bits));

        return new self(self::node($ordered, $ordered, $suspects, $weights, $finer), $ids, $weights, $most);
    }

    /** Questions that it takes on average, the suspects as likely as they are. */
    public function expected(): float
    {
        $sum = 0.0;
        $depths = $this->depths();
        foreach ($this->ids as $i => $id) {
            $sum += $this->weights[$i] * $depths[$id];
        }

        return $sum / array_sum($this->weights);
    }

    /**
     * No strategy takes fewer on average: H over the classes / log2 of the most outcomes that a question has (Shannon
     * 1948).
     */
    public function bound(): float
    {
        return InformationGain::bits($this->classes(), array_combine($this->ids, $this->weights)) / log($this->most, 2);
    }

    /** @return array<string, int> questions until each suspect is in its class */
    public function depths(): array
    {
        return array_map(count(...), $this->paths());
    }

    /** @return array<string, list<array{Question, string}>> questions and answers on the way to each suspect */
    public function paths(): array
    {
        $paths = [];
        $walk = function (array $node, array $path) use (&$walk, &$paths): void {
            if ($node['question'] === null) {
                foreach ($node['suspects'] as $i) {
                    $paths[$this->ids[$i]] = $path;
                }
            }
            foreach ($node['branches'] as [$answer, $next]) {
                $walk($next, [...$path, [$node['question'], $answer]]);
            }
        };
        $walk($this->root, []);

        return $paths;
    }

    /** @return list<list<string>> suspects that nothing parts */
    public function classes(): array
    {
        $classes = [];
        $walk = function (array $node) use (&$walk, &$classes): void {
            if ($node['question'] === null) {
                $classes[] = array_map(fn (int $i) => $this->ids[$i], $node['suspects']);
            }
            foreach ($node['branches'] as [, $next]) {
                $walk($next);
            }
        };
        $walk($this->root);

        return $classes;
    }

    /**
     * @param list<Question> $every
     * @param list<Question> $questions those that parted the suspects before
     * @param list<int> $ids
     * @param list<float> $weights
     * @param (callable(list<int>, list<float>): list<Question>)|null $finer
     * @return Node
     */
    private static function node(array $every, array $questions, array $ids, array $weights, ?callable $finer): array
    {
        $leaf = ['suspects' => $ids, 'question' => null, 'branches' => []];
        if (count($ids) < 2) {
            return $leaf;
        }
        // of many suspects only what told most before is weighed; what is left over for the few is not lost
        $all = $questions;
        $questions = count($ids) > self::MANY ? array_slice($all, 0, self::WEIGHED) : $all;
        [$useful, $bits] = self::ranked($questions, $ids, $weights);
        if ($useful === []) { // what could not part more of them may part these, as one between them is gone
            [$useful, $bits] = self::ranked($every, $ids, $weights);
        }
        if ($useful === [] && $finer !== null) {
            [$useful, $bits] = self::ranked($finer($ids, $weights), $ids, $weights);
        }
        if ($useful === []) {
            return $leaf;
        }
        $best = $useful[0];
        if (count($ids) <= self::EXACT_OF) {
            $best = self::least(array_slice($useful, 0, self::EXACT), $ids, $weights)[1] ?? $best;
        } elseif (count($ids) <= self::AHEAD_OF && count($useful) > 1) {
            $far = -1.0;
            foreach (array_slice($useful, 0, self::AHEAD) as $i => $question) {
                $both =
                    $bits[$i] +
                    self::after(
                        $useful,
                        $question->split($ids),
                        $weights,
                        array_sum(array_intersect_key($weights, array_flip($ids))),
                    );
                if ($both > $far + 1e-6) {
                    [$far, $best] = [$both, $question];
                }
            }
        }
        $branches = [];
        foreach ($best->split($ids) as $bin) {
            $branches[] = [
                $best->shows($bin),
                self::node($every, count($ids) > self::MANY ? $all : $useful, $bin, $weights, $finer),
            ];
        }

        return ['suspects' => $ids, 'question' => $best, 'branches' => $branches];
    }

    /**
     * Those that part some suspects, the most telling first, the cheapest first among equals.
     *
     * @param list<Question> $questions
     * @param list<int> $ids
     * @param list<float> $weights
     * @return array{list<Question>, list<float>} with the bits of each
     */
    private static function ranked(array $questions, array $ids, array $weights): array
    {
        $rows = [];
        foreach ($questions as $question) {
            $bits = $question->bits($ids, $weights);
            if ($bits > self::LEAST_BITS) {
                $rows[] = [round($bits * $question->handiness(), 6), $question];
            }
        }
        usort($rows, fn (array $a, array $b) => [$b[0], $a[1]->minutes] <=> [$a[0], $b[1]->minutes]);

        return [array_column($rows, 1), array_column($rows, 0)];
    }

    /**
     * The least of weight times questions that some suspects take, by trying every order.
     *
     * @param list<Question> $questions
     * @param list<int> $ids
     * @param list<float> $weights
     * @return array{float, Question|null} with the question to begin with
     */
    private static function least(array $questions, array $ids, array $weights): array
    {
        if (count($ids) < 2) {
            return [0.0, null];
        }
        $best = [INF, null];
        $here = array_sum(array_map(fn (int $i) => $weights[$i], $ids));
        foreach ($questions as $question) {
            $bins = $question->split($ids);
            if (count($bins) < 2) {
                continue;
            }
            $cost = $here;
            foreach ($bins as $bin) {
                $cost += self::least($questions, $bin, $weights)[0];
                if ($cost >= $best[0]) {
                    continue 2;
                }
            }
            $best = [$cost, $question];
        }

        return $best[1] === null ? [0.0, null] : $best;
    }

    /**
     * Bits that the best next questions add, over the answers of one.
     *
     * @param list<Question> $questions
     * @param list<list<int>> $bins
     * @param list<float> $weights
     */
    private static function after(array $questions, array $bins, array $weights, float $all): float
    {
        $sum = 0.0;
        foreach ($bins as $bin) {
            if (count($bin) > 1) {
                $own = array_intersect_key($weights, array_flip($bin));
                $most = Suspects::bits($own); // if it told each of them from all others
                $best = 0.0;
                foreach ($questions as $question) {
                    if ($most * $question->handiness() > $best) {
                        $best = max($best, $question->bits($bin, $weights) * $question->handiness());
                    }
                }
                $sum += array_sum($own) / $all * $best;
            }
        }

        return $sum;
    }
}
