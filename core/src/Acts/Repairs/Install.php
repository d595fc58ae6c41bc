<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A part from the van put where it belongs, with no wire on it yet: what was not there, or one of another make. */
final readonly class Install extends Act
{
    public const NAME = 'install';

    public const MINUTES = 20.0;

    public const QUALITIES = [
        Quality::Fits, Quality::Touches, Quality::Mends, Quality::Restores, Quality::Barrable,
    ];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        $part = $now->model->part($this->part());

        return match (true) {
            $part === null => Words::say('acts.install.there_is_no_part_called', ['part' => $this->part()]),
            ! $part->inVan => Words::say('acts.install.that_part_does_not_come'),
            in_array($part->id, $now->state->installed, true) => Words::say('acts.install.it_is_fitted_already'),
            default => null,
        };
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(installed: [...$now->state->installed, $this->part()], resets: []);
    }

    public function putsIn(): bool
    {
        return true;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.install.fitted_from_the_van', ['part' => $names->part($this->part())]);
    }
}
