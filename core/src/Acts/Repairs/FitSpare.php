<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A spare from the van put in, which may be another than the one that belongs there. */
final readonly class FitSpare extends Repair
{
    public const NAME = 'spare';

    public const MINUTES = 20.0;

    public const QUALITIES = [Quality::Swaps, Quality::Touches, Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'spare' => Field::id('spare')];
    }

    public function refusal(Situation $now): ?string
    {
        $refusal = $now->reach->part($now->state, $this->part());
        $spares = $now->model->kindOf($this->part())?->hands()->spares ?? [];

        return $refusal ??
            (in_array($this->get('spare'), $spares, true)
                ? null
                : Words::say('acts.fit_spare.the_van_has_no_such', ['spares' => implode(', ', $spares)]));
    }

    public function risks(Situation $now): array
    {
        return $now->risk->hands($now, $this->part());
    }

    public function apply(Situation $now): BenchState
    {
        $fitted = [];
        foreach ($now->model->parts()[$this->part()]->kind->spares[$this->get('spare')] as $path => $value) {
            $fitted["{$this->part()}.$path"] = $value;
        }
        $state = $this->mended($now, 'replace');

        return $state->with(fitted: array_replace($state->fitted, $fitted));
    }

    public function putsIn(): bool
    {
        return true;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.fit_spare.fitted_for', [
            'spare' => $this->get('spare'),
            'part' => $names->part($this->part()),
        ]);
    }
}
