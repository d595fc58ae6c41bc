<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;
use OddSpark\Words\Words;

/**
 * All that an instructor can know of the faults of a model before anyone is sent to it: look-alikes, tree, difficulty.
 */
final readonly class Analysis
{
    /** Share of its weight that a fault keeps when it would have led to another complaint; see {@see Tracker}. */
    private const HEARSAY = 0.1;

    /**
     * @param list<list<string>> $classes of more than one, largest first
     * @param int $questions that were weighed
     */
    private function __construct(
        public FaultSet $faultSet,
        public Evidence $evidence,
        public array $classes,
        public Tree $tree,
        public int $questions,
    ) {}

    /**
     * @param string|null $fault whose complaint was made; null: none in particular
     * @param (callable(string, float): void)|null $progress what is being done, and how much of all of it is done
     * @param int $processes in which the faults are run
     */
    public static function of(
        Plan $plan,
        FaultSet $faultSet,
        string $visit,
        ?string $fault = null,
        Memory $memory = new Memory(),
        ?callable $progress = null,
        int $processes = 1,
    ): self {
        $say = $progress ?? fn (string $what, float $share) => null;
        $evidence = new Evidence(
            $plan,
            $faultSet,
            $visit,
            $memory,
            fn (int $done, int $of) => $say(Words::say('suspects.analysis.running_every_fault'), (0.7 * $done) / $of),
            $processes,
        );
        $say(Words::say('suspects.analysis.comparing_them_with_each_other'), 0.7);
        // which are alike, and what can be asked, know nothing of each other
        $both = [fn () => Questions::of($evidence), fn () => (new Classes($evidence))->all()];
        $found = Processes::share(min($processes, count($both)), fn (int $share) => $both[$share]());
        $questions = $found[0];
        $classes = $found[1] ?? $both[1]();
        $say(Words::say('suspects.analysis.building_the_tree'), 0.9);
        $weights = array_map(fn (Fault $f) => $f->weight, $faultSet->faults);
        if ($fault !== null) {
            foreach ($weights as $id => $weight) {
                $weights[$id] =
                    $weight *
                    ($evidence->of[$id]['complaint'] === $evidence->of[$fault]['complaint'] ? 1.0 : self::HEARSAY);
            }
        }

        return new self(
            $faultSet,
            $evidence,
            array_values(array_filter($classes, fn (array $c) => count($c) > 1)),
            Tree::grow($questions->all(), $weights, $questions->hundredths(...)),
            $questions->asked,
        );
    }

    /** @return array<string, list<string>> by fault: those that nothing tells from it */
    public function lookAlikes(): array
    {
        $alike = array_fill_keys(array_keys($this->faultSet->faults), []);
        foreach ($this->classes as $class) {
            foreach ($class as $id) {
                $alike[$id] = array_values(array_diff($class, [$id]));
            }
        }

        return $alike;
    }

    /** @return array<string, string> faults that nothing tells from the healthy appliance, and why */
    public function withoutEffect(): array
    {
        $why = [];
        foreach ($this->lookAlikes()[Fault::HEALTHY] ?? [] as $id) {
            $why[$id] = $this->reason($this->faultSet->get($id));
        }

        return $why;
    }

    /** @return array<string, mixed> everything as plain data; the tree with a word for each question and answer */
    public function toArray(): array
    {
        $alike = $this->lookAlikes();
        $paths = $this->tree->paths();
        $faults = [];
        foreach ($this->faultSet->faults as $id => $fault) {
            $faults[] =
                [
                    'id' => $id,
                    'title' => $fault->title,
                    'family' => $fault->family,
                    'weight' => round($fault->weight, 4),
                    'look_alikes' => $alike[$id],
                ] + Difficulty::of($paths[$id], count($alike[$id]));
        }

        return [
            'faults' => $faults,
            'questions' => $this->questions,
            'expected' => round($this->tree->expected(), 2),
            'bound' => round($this->tree->bound(), 2),
            'outcomes' => $this->tree->most,
            'without_effect' => $this->withoutEffect(),
            'tree' => $this->node($this->tree->root),
        ];
    }

    /**
     * @param array<string, mixed> $node
     * @return array<string, mixed>
     */
    private function node(array $node): array
    {
        if ($node['question'] === null) {
            return ['faults' => array_map(fn (int $i) => $this->tree->ids[$i], $node['suspects'])];
        }

        return [
            'ask' => $node['question']->text,
            'kind' => $node['question']->kind,
            'count' => count($node['suspects']),
            'answers' => array_map(
                fn (array $branch) => ['shows' => $branch[0]] + $this->node($branch[1]),
                $node['branches'],
            ),
        ];
    }

    private function reason(Fault $fault): string
    {
        $flaw = array_filter(
            $fault->set,
            fn (mixed $v, string $path) => str_ends_with($path, '.flaw'),
            ARRAY_FILTER_USE_BOTH,
        );

        $safety = $this->evidence->plan->model->kindOf($fault->part)?->guards()?->isMadeToAct() === true;

        return match (true) {
            $flaw !== [] => Words::say('suspects.analysis.it_is_intermittent_and_did'),
            $safety => Words::say('suspects.analysis.it_shows_only_when_this'),
            in_array('closed', $fault->set, true) || $fault->jumpers !== [] => Words::say(
                'suspects.analysis.it_shows_only_when_this_would',
            ),
            default => Words::say('suspects.analysis.what_it_changes_is_too'),
        };
    }
}
