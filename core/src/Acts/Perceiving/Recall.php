<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Control;
use OddSpark\Words\Words;

/** The button of a control that shows the codes it has kept, the newest first. */
final readonly class Recall extends Act
{
    public const NAME = 'recall';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part())
            ?? ($this->control($now) === null ? Words::say('acts.recall.it_keeps_no_codes') : null);
    }

    public function shows(Situation $now): array
    {
        $slot = $now->state->slots[(string) $this->control($now)];
        $isDead = $now->machine->shows($now->state, (string) $this->control($now)) === 'off';

        return ['codes kept' => match (true) {
            $slot['state'] === Control::DARK || $isDead => Words::say('acts.recall.nothing_is_shown'),
            $slot['codes'] === [] => 'none',
            default => implode(Words::say('acts.recall.before_that'), $slot['codes']),
        }];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.recall.recalled_the_codes_of', ['part' => $names->part($this->part())]);
    }

    /** The control in it that keeps codes. */
    private function control(Situation $now): ?string
    {
        foreach (array_keys($now->model->kindOf($this->part())?->those(Decides::class) ?? []) as $name) {
            if (isset($now->state->slots["{$this->part()}.$name"]['codes'])) {
                return "{$this->part()}.$name";
            }
        }

        return null;
    }
}
