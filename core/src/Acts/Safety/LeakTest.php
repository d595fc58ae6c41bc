<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;

/** Leak solution, or a detector, at the joints of a gas or oil part: with the fuel on, or it tells nothing. */
final readonly class LeakTest extends Act
{
    public const NAME = 'leak_test';

    public const TITLE = 'Testing joints for leaks';

    public const MINUTES = 2.0;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part()) ?? match (true) {
            $now->model->kindOf($this->part())?->carriesFuel() !== true => 'No fuel goes through it.',
            isset($now->state->off[$this->part()]) => 'It is off: put it back first.',
            default => null,
        };
    }

    public function shows(Situation $now): array
    {
        return [
            'joints' => $now->risk->opened($now, $this->part()) === []
                ? 'no pressure on them: it tells nothing'
                : 'tight, no bubbles',
        ];
    }

    public function said(Names $names): string
    {
        return "Leak solution on the joints of {$names->part($this->part())}";
    }
}
