<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Bench\Preview;
use OddSpark\Drawing\Chart;

/** The sequence chart after the arrival, as SVG. */
final class DrawChart extends Verb
{
    protected const NAME = 'chart';

    protected const ABOUT = 'the sequence chart after the arrival, as SVG';

    protected const TAKES = ['fault', 'visit', 'until'];

    protected function answer(): Answer
    {
        $plan = $this->plan();
        $faultSet = $this->faultSet();
        $fault = $faultSet->compound($this->faults());
        $visit = $this->visit();
        $until = (int) round(1000 * (float) ($this->value('until') ?? 900));
        if ($until <= 0 || $until > 86_400_000) {
            throw new UsageError('--until takes seconds, from 1 to 86400.');
        }
        $preview = Preview::of($plan, $fault, $visit, $until);
        $seconds = fn (array $stretches) => array_map(
            fn (array $s) => [$s[0] / 1000, $s[1] / 1000, (string) $s[2]],
            $stretches,
        );
        $lanes = array_map(
            fn (array $lane) => [
                'name' => $lane['name'],
                'tone' => $lane['tone'],
                'stretches' => $seconds($preview->perceived[$lane['channel']] ?? []),
            ],
            $plan->model->tape(),
        );
        $states = [];
        foreach ($preview->states as $control => $list) {
            $states[] = [
                'name' => $plan->model->part(substr($control, 0, (int) strrpos($control, '.')))->label ?? $control,
                'stretches' => array_map(fn (array $s) => [$s['from'] / 1000, $s['to'] / 1000, $s['title']], $list),
            ];
        }
        $svg = Chart::svg("{$plan->model->title()}: {$fault->title}", $lanes, $states, $until / 1000);

        return new Answer(['svg' => $svg], $svg);
    }
}
