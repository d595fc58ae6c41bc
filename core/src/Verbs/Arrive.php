<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Appliance\Doors;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Run\Memory;
use OddSpark\Words\Words;

/** The complaint, the answers, and what a look shows. */
final class Arrive extends Verb
{
    protected const NAME = 'arrive';

    protected const ABOUT = 'the complaint, the answers, and what a look shows';

    protected const TAKES = ['fault', 'visit'];

    protected function answer(): Answer
    {
        $plan = $this->plan();
        $faultSet = $this->faultSet();
        $visit = $this->visit();
        $looks = function (Fault $fault) use ($plan, $visit): array {
            $bench = new Bench($plan, $fault, new Memory());
            $arrival = $bench->arrive($visit);
            $state = $arrival->state->with(open: Doors::ALL);
            $state = $bench->resume($state);
            $found = [];
            foreach (array_keys($plan->model->parts()) as $part) {
                $found[$part] = $bench->glance($state, (string) $part) ?? [];
            }

            return [$arrival, $found];
        };
        [$arrival, $found] = $looks($faultSet->compound($this->faults()));
        [, $healthy] = $looks($faultSet->get(Fault::HEALTHY));
        $odd = [];
        foreach ($found as $part => $seen) {
            $differs = array_diff_assoc($seen, $healthy[$part]);
            if ($differs !== []) {
                $odd[$part] = $differs;
            }
        }
        $text = implode("\n", array_column($arrival->complaint, 'text'))."\n";
        foreach ($arrival->state->answers as $question => $answer) {
            $text .= '  '.Words::say("acts.ask.question.$question")." \"$answer\"\n";
        }
        foreach ($odd as $part => $seen) {
            $text .=
                "  {$plan->model->part($part)->label}: ".
                implode('; ', array_map(fn ($k, $v) => $k === 'condition' ? $v : "$k $v", array_keys($seen), $seen)).
                "\n";
        }

        return new Answer(
            ['complaint' => $arrival->complaint, 'answers' => $arrival->state->answers, 'unlike_healthy' => $odd],
            $text,
        );
    }
}
