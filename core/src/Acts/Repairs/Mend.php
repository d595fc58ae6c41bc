<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * A part replaced, cleaned, cleared or set right.
 *
 * @phpstan-import-type Changes from Primitive
 */
final readonly class Mend extends Repair
{
    public const NAME = 'mend';

    public const MINUTES = 20.0;

    public const QUALITIES = [Quality::Swaps, Quality::Touches, Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return [
            'part' => Field::part(),
            'how' => Field::oneOf('replace', 'clean', 'clear', 'set'),
            'with' => Field::oneOf('cloth', 'steel_wool', 'sandpaper', 'wire')->optional(),
        ];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part());
    }

    public function risks(Situation $now): array
    {
        if ($this->get('how') === 'clear') {
            return [];
        }
        $harm = $this->left($now) === [] ? [] : ['harsh-cleaning'];
        $isOpened = $this->get('how') === 'replace' && ! isset($now->state->off[$this->part()]);

        return [
            ...$now->risk->hands($now, $this->part()),
            ...$harm,
            ...$isOpened ? $now->risk->opened($now, $this->part()) : [],
        ];
    }

    public function apply(Situation $now): BenchState
    {
        $state = $this->mended($now, $this->get('how'));
        if ($this->get('how') !== 'clean') {
            return $state;
        }
        $fitted = $state->fitted;
        foreach ($now->model->kindOf($this->part())->cleaned ?? [] as $left) { // what lay on it is off again
            foreach (array_keys($left) as $path) {
                unset($fitted["{$this->part()}.$path"]);
            }
        }

        return $state->with(fitted: $this->left($now) + $fitted);
    }

    /** @return Changes what this way of cleaning leaves on the part */
    private function left(Situation $now): array
    {
        $with = $this->get('with') ?? ''; // where nothing is said, what does no harm
        $cleaned = $this->get('how') === 'clean' ? $now->model->kindOf($this->part())->cleaned[$with] ?? [] : [];
        $left = [];
        foreach ($cleaned as $path => $value) {
            $left["{$this->part()}.$path"] = $value;
        }

        return $left;
    }

    public function putsIn(): bool
    {
        return $this->get('how') === 'replace';
    }

    public function said(Names $names): string
    {
        return match ($this->get('how')) {
            'clean' => Words::say('acts.mend.cleaned', [
                'part' => $names->part($this->part()),
                'what' => $this->get('with') === null ? '' : Words::say('acts.mend.with', [
                    'what' => str_replace('_', ' ', $this->get('with')),
                ]),
            ]),
            'clear' => Words::say('acts.mend.cleared', ['part' => $names->part($this->part())]),
            'set' => Words::say('acts.mend.set_right', ['part' => $names->part($this->part())]),
            default => Words::say('acts.mend.replaced', ['part' => $names->part($this->part())]),
        };
    }
}
