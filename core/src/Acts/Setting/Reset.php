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
use OddSpark\Sequence\Table;
use OddSpark\Words\Words;

/**
 * The button of a safety or a control that has locked out: pressed, or held in for some seconds where it asks for that.
 */
final readonly class Reset extends Act
{
    public const NAME = 'reset';

    public const MINUTES = 0.5;

    private const LONGEST_S = 120;

    public const QUALITIES = [Quality::Touches, Quality::Restores, Quality::OnBoth];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'seconds' => Field::number()->optional()];
    }

    public function minutes(): float
    {
        return self::MINUTES + ($this->get('seconds') ?? 0.0) / 60;
    }

    public function refusal(Situation $now): ?string
    {
        $resets = $now->model->kindOf($this->part())->resets ?? [];
        $seconds = $this->get('seconds') ?? 0.0;
        if ($seconds < 0 || $seconds > self::LONGEST_S) {
            return Words::say('acts.reset.a_button_is_held_for', ['longest_s' => self::LONGEST_S]);
        }
        $behind = $now->reach->part($now->state, $this->part());
        foreach ($resets as $button) {
            if ($now->reach->leverBehind($now->state, $this->part(), $button) === null) {
                return null;
            }
        }

        return $behind ?? Words::say('acts.reset.there_is_nothing_to_reset');
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

        $freed = $now->model->parts()[$this->part()]->reset();
        foreach (array_keys($freed) as $id) {
            $spec = $now->plan->primitives[$id]['spec'];
            $asked = isset($spec['table']) ? Table::heldFor($spec['table'], $now->state->slots[$id]['state']) : 0.0;
            if ($asked > $this->held()) {
                unset($freed[$id]); // it asks to be held, and was not for long enough
            }
        }

        return $now->state
            ->withSlots($freed)
            ->with(resets: array_replace($now->state->resets, [$this->part() => $times]));
    }

    public function said(Names $names): string
    {
        return $this->held() > 0
            ? Words::say('acts.reset.held_the_reset_of_for', [
                'part' => $names->part($this->part()),
                'held' => sprintf('%g', $this->held()),
            ])
            : Words::say('acts.reset.reset', ['part' => $names->part($this->part())]);
    }

    private function held(): float
    {
        return (float) ($this->get('seconds') ?? 0.0);
    }
}
