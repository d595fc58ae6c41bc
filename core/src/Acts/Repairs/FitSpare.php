<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

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
                : 'The van has no such spare for it; it has '.implode(', ', $spares).'.');
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
        return "Fitted {$this->get('spare')} for {$names->part($this->part())}";
    }
}
