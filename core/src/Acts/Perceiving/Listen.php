<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Words\Words;

/** An ear to a part. */
final readonly class Listen extends Act
{
    public const NAME = 'listen';

    public const MINUTES = 0.2;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        // a sound is heard through a door
        return $now->model->part($this->part()) === null && $now->model->wire($this->part()) === null
            ? Words::say('acts.listen.there_is_no_part_called', ['part' => $this->part()])
            : null;
    }

    public function shows(Situation $now): array
    {
        $heard = [];
        foreach ($now->plan->percepts as $channel => $percept) {
            if ($percept['part'] === $this->part() && $percept['sense'] === 'hearing') {
                $heard[$percept['thing']] = $now->noticing->perception->how(
                    $channel,
                    $now->machine->shows($now->state, $percept['of']),
                );
            }
        }

        return $heard === [] ? ['sound' => 'nothing'] : $heard;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.listen.listened_at', ['part' => $names->part($this->part())]);
    }
}
