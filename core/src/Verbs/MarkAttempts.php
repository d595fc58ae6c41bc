<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Debrief;
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

/** Marks and debriefs on the command line. */
final readonly class MarkAttempts
{
    private AttemptReview $account;

    private Memory $memory;

    public function __construct(private Plan $plan, private FaultSet $faultSet, private Fault $fault, Attempt $attempt)
    {
        $this->memory = new Memory();
        $seen = $attempt->observations;
        $this->account = new AttemptReview(
            $plan,
            $faultSet,
            $fault,
            $seen,
            new Tracker($plan, $faultSet, $seen->visit, $this->memory),
            $this->memory,
        );
    }

    public function mark(Rules $rules): Answer
    {
        $mark = $this->marked($rules);
        $text = sprintf(
            "%.1f of 100, %s; conclusion: %s\n",
            $mark['total'],
            $mark['passed']
                ? 'passed'
                : 'not passed'.($mark['not_passed'] === [] ? '' : ' ('.implode(', ', $mark['not_passed']).')'),
            $mark['verdict'],
        );
        foreach ($mark['lines'] as $line) {
            $text .= sprintf("%5.1f of %2d  %s\n", $line['points'], $line['weight'], $line['title']);
            foreach ($line['why'] as $why) {
                $text .=
                    "             {$why['text']}".
                    ($why['entry'] === null ? '' : ' (entry '.($why['entry'] + 1).')').
                    "\n";
            }
        }
        $text .=
            $mark['call_back']['said'] === []
                ? "Nobody calls again within {$mark['call_back']['hours']} hours.\n"
                : 'The customer calls again: '.implode(' ', $mark['call_back']['said'])."\n";

        return new Answer($this->head() + ['mark' => $mark], $text);
    }

    public function debrief(Rules $rules, bool $html): Answer
    {
        $mark = $this->marked($rules);
        $debrief = (new Debrief($this->account))->toArray();
        $head = [
            'title' => 'Debrief',
            'who' => 'An attempt from a file',
            'model' => $this->plan->model->title(),
            'fault' => $this->fault->title,
            'when' => 'visit: '.$this->account->seen->visit,
        ];
        if ($html) {
            return new Answer([], Sheet::html($head, $mark, $debrief)."\n");
        }
        $text = sprintf("%.1f of 100. It was: %s.\n", $mark['total'], $this->fault->title);
        foreach ($debrief['entries'] as $i => $row) {
            $text .= sprintf(
                "%3d %6.0f s  %3d → %3d  %s\n",
                $i + 1,
                $row['at_s'],
                $row['before'],
                $row['after'],
                $row['text'],
            );
            if ($row['best'] !== [] && $row['share'] !== null && $row['share'] < 0.9) {
                $text .= sprintf(
                    "                         more: %s (%.2f bits)\n",
                    $row['best'][0]['text'],
                    $row['best'][0]['bits'],
                );
            }
        }
        foreach (['won' => 'Won', 'lost' => 'Lost'] as $key => $word) {
            foreach ($debrief[$key] as $turn) {
                $text .= "$word at entry ".($turn['entry'] + 1).": {$turn['text']}\n";
            }
        }

        return new Answer($this->head() + ['mark' => $mark, 'debrief' => $debrief], $text);
    }

    /** @return array<string, mixed> */
    private function marked(Rules $rules): array
    {
        return Marker::of($this->account, $this->memory)->mark($rules)->toArray();
    }

    /** @return array<string, string> */
    private function head(): array
    {
        return ['model' => $this->plan->model->name(), 'fault' => $this->fault->id];
    }
}
