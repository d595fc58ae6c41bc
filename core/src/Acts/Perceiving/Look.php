<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** Eyes on a part: its condition, what is set on it, what moves or shines. */
final readonly class Look extends Act
{
    public const NAME = 'look';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        $seen = $now->model->part($this->part()) !== null && $now->reach->isInSight($now->state, $this->part());

        return $seen ? null : $now->reach->part($now->state, $this->part());
    }

    public function apply(Situation $now): BenchState
    {
        return $now->reach->noticed($now->state->with(eyes: $this->part()), $this->part());
    }

    public function shows(Situation $now): array
    {
        return $now->noticing->look($now->machine, $now->state, $this->part());
    }

    public function said(Names $names): string
    {
        return Words::say('acts.look.looked_at', ['part' => $names->part($this->part())]);
    }
}
