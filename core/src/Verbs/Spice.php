<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Run\SpiceDeck;

/** The state as a netlist. */
final class Spice extends Verb
{
    protected const NAME = 'spice';

    protected const ABOUT = 'the state as a netlist';

    protected const TAKES = ['fault', 'actions', 'visit', 'at', 'tran'];

    protected function answer(): Answer
    {
        $plan = $this->plan();
        [$attempt, $at] = $this->moment();
        $text = SpiceDeck::of(
            $attempt->bench->machine(),
            $attempt->state,
            $attempt->bench->fault->id,
            $at / 1000,
            $this->has('tran'),
        );

        return new Answer(['model' => $plan->model->name(), 'at_s' => $at / 1000, 'netlist' => $text], $text);
    }
}
