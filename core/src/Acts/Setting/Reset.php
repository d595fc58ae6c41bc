<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Guarded;
use OddSpark\Run\BenchState;

/** The button of a safety or a control that has locked out. */
final readonly class Reset extends Act
{
    public const NAME = 'reset';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Touches, Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        $resets = $now->model->kindOf($this->part())->resets ?? [];
        $behind = $now->reach->part($now->state, $this->part());
        foreach ($resets as $button) {
            if ($now->reach->leverBehind($now->state, $this->part(), $button) === null) {
                return null;
            }
        }

        return $behind ?? 'There is nothing to reset on it.';
    }

    public function risks(Situation $now): array
    {
        $kind = $now->model->parts()[$this->part()]->kind;
        foreach ($kind->resets as $name) {
            if ($now->state->slots["{$this->part()}.$name"]['latched']) {
                $again = ($now->state->resets[$this->part()] ?? 0) > 0; // once is how one sees what it does

                return $kind->guards() === Guarded::Rollout ? ['rollout-reset'] : ($again ? ['reset-again'] : []);
            }
        }

        return [];
    }

    public function apply(Situation $now): BenchState
    {
        $times = ($now->state->resets[$this->part()] ?? 0) + 1;

        return $now->state
            ->withSlots($now->model->parts()[$this->part()]->reset())
            ->with(resets: array_replace($now->state->resets, [$this->part() => $times]));
    }

    public function said(Names $names): string
    {
        return "Reset {$names->part($this->part())}";
    }
}
