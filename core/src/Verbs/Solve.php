<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** Volts at every place. */
final class Solve extends Verb
{
    protected const NAME = 'solve';

    protected const ABOUT = 'volts at every place';

    protected const TAKES = ['fault', 'actions', 'visit', 'at'];

    protected function answer(): Answer
    {
        $plan = $this->plan();
        [$attempt, $at] = $this->moment();
        $solution = $attempt->bench->machine()->solution($attempt->state);
        $seed = $this->log()->seed;
        $rows = [];
        foreach ($plan->places as $place => $node) {
            [$re, $im] = $solution->acPhasor($node, 0);
            $rows[$place] = [
                'ac_v' => hypot($re, $im),
                'ac_degrees' => rad2deg(atan2($im, $re)),
                'dc_v' => $solution->dcVolts($node, 0),
            ];
        }

        return new Answer(
            ['model' => $plan->model->name(), 'at_s' => $at / 1000, 'against' => 'earth', 'seed' => $seed] +
                ['places' => $rows],
            "Parts are as good ones scatter, by seed $seed of the actions; another seed gives other figures.\n".
            Answer::table(
                array_map(
                    fn ($p, $r) => [
                        $p,
                        sprintf('%.4f V AC %6.1f°', $r['ac_v'], $r['ac_degrees']),
                        sprintf('%.4f V DC', $r['dc_v']),
                    ],
                    array_keys($rows),
                    $rows,
                ),
            ),
        );
    }
}
