<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\Wording;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;
use OddSpark\Suspects\Analysis;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\Classes;
use OddSpark\Suspects\Difficulty;
use OddSpark\Suspects\Evidence;
use OddSpark\Suspects\NextSteps;
use OddSpark\Suspects\Pairs;
use OddSpark\Suspects\Tracker;

/** What the verbs say that weigh suspects: suspects, next, classes, tree. */
final readonly class Proof
{
    public function __construct(private Plan $plan, private FaultSet $faultSet) {}

    public function suspects(Observations $seen, bool $pairs = false): Answer
    {
        $memory = new Memory();
        $steps = (new Tracker($this->plan, $this->faultSet, $seen->visit, $memory))->follow($seen);
        $wording = new Wording($this->plan->model);
        $rows = [];
        $text = '';
        foreach ($steps as $i => $step) {
            $entry = $i === 0 ? 'Arrived' : $wording->entry(...$seen->entries[$i - 1]);
            $rows[] = [
                'entry' => $i - 1,
                'text' => $entry,
                'count' => $step->count(),
                'bits' => $step->entropy(),
                'unknown' => $step->unknownShare(),
                'suspects' => $step->ranked(),
            ];
            $text .= sprintf("%4d  %5.2f bits  %s\n", $step->count(), $step->entropy(), $entry);
        }
        foreach (array_slice(end($steps)->ranked(), 0, 12) as $id => $share) {
            $text .= sprintf("      %5.1f %%  %s\n", 100 * $share, $id);
        }
        $text .= sprintf(
            "      %5.1f %%  none of them: several at once, or something else\n",
            100 * end($steps)->unknownShare(),
        );
        $json = ['model' => $this->plan->model->name(), 'steps' => $rows];
        if ($pairs) {
            $two = Pairs::of($this->plan, $this->faultSet, $seen, $steps, $memory);
            $text .= sprintf(
                "%d pairs left of the %d likeliest of %d that could explain it\n",
                $two->left->count(),
                $two->run,
                $two->of,
            );
            foreach (array_slice($two->left->ranked(), 0, 12) as $id => $share) {
                $text .= sprintf("      %5.1f %%  %s\n", 100 * $share, $id);
            }
            $json += ['pairs' => ['run' => $two->run, 'of' => $two->of, 'left' => $two->left->ranked()]];
        }

        return new Answer($json, $text);
    }

    public function next(Observations $seen): Answer
    {
        $memory = new Memory();
        $tracker = new Tracker($this->plan, $this->faultSet, $seen->visit, $memory);
        $steps = $tracker->follow($seen);
        $left = end($steps);
        [$choices, $weighed] = (new NextSteps($this->plan, $this->faultSet, $memory))->of(
            $tracker->candidates(),
            $left->weights,
        );
        $text = sprintf(
            "%d suspects, %.2f bits; %d readings, looks and acts weighed\n bits  bits/min\n",
            $left->count(),
            $left->entropy(),
            $weighed,
        );
        foreach ($choices as $choice) {
            $text .= sprintf("%5.2f  %8.2f  %s\n", $choice->bits, $choice->bitsPerMinute(), $this->choice($choice));
        }

        return new Answer(
            [
                'model' => $this->plan->model->name(),
                'suspects' => $left->ranked(),
                'bits' => $left->entropy(),
                'weighed' => $weighed,
                'choices' => array_map(fn (Choice $c) => ['text' => $this->choice($c)] + $c->toArray(), $choices),
            ],
            $text,
        );
    }

    public function classes(string $visit): Answer
    {
        $classes = new Classes(
            new Evidence($this->plan, $this->faultSet, $visit, processes: Processes::here()),
        );
        $all = $classes->all();
        $text = sprintf("%d faults in %d classes\n", count($this->faultSet->faults), count($all));
        foreach ($all as $class) {
            $text .= count($class) > 1 ? '  '.implode(', ', $class)."\n" : '';
        }
        [$when, $ohms] = [$classes->pairsByWhen(), $classes->pairsByOhms()];
        $text .= sprintf(
            "%d pairs are told apart by when only, %d by ohms with the power off only\n",
            count($when),
            count($ohms),
        );

        return new Answer(
            ['model' => $this->plan->model->name(), 'classes' => $all, 'by_when' => $when, 'by_ohms' => $ohms],
            $text,
        );
    }

    public function tree(string $visit, ?string $fault): Answer
    {
        $analysis = Analysis::of(
            $this->plan,
            $this->faultSet,
            $visit,
            $fault,
            processes: Processes::here(),
        );
        $tree = $analysis->tree;
        $text = sprintf(
            "%d faults, %d questions; %.2f readings expected, no strategy below %.2f (%d outcomes at most)\n",
            count($this->faultSet->faults), $analysis->questions, $tree->expected(), $tree->bound(), $tree->most,
        );
        if ($fault !== null) {
            $path = $tree->paths()[$fault];
            foreach ($path as [$question, $answer]) {
                $text .= "  {$question->text}: $answer\n";
            }
            $difficulty = Difficulty::of($path, count($analysis->lookAlikes()[$fault]));
            $text .= sprintf(
                "  → %s, grade %d of 5, %.1f minutes\n",
                $fault,
                $difficulty['grade'],
                $difficulty['minutes'],
            );
        } else {
            $text .= $this->branches($tree->root, $tree->ids, 1);
        }
        foreach ($analysis->withoutEffect() as $id => $why) {
            $text .= "  without effect: $id. $why\n";
        }

        return new Answer(['model' => $this->plan->model->name(), 'fault' => $fault] + $analysis->toArray(), $text);
    }

    /**
     * @param array<string, mixed> $node
     * @param list<string> $ids
     */
    private function branches(array $node, array $ids, int $depth): string
    {
        $in = str_repeat('  ', $depth);
        if ($node['question'] === null) {
            return "{$in}→ ".implode(', ', array_map(fn (int $i) => $ids[$i], $node['suspects']))."\n";
        }
        $text = "$in{$node['question']->text}?\n";
        foreach ($node['branches'] as [$answer, $next]) {
            $text .= "$in {$answer}\n".$this->branches($next, $ids, $depth + 1);
        }

        return $text;
    }

    private function choice(Choice $choice): string
    {
        $wording = new Wording($this->plan->model);
        $what = $choice->said($wording);
        $after = $choice->after;

        return $after === null ? $what : lcfirst($wording->entry($after, new Outcome())).", then $what";
    }
}
