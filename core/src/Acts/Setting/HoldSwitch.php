<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The switch of a door held in by hand; of every open door where none is named. */
final readonly class HoldSwitch extends Act
{
    public const NAME = 'hold';

    public const MINUTES = 0.2;

    public const QUALITIES = [Quality::OnBoth];

    public static function fields(): array
    {
        return ['to' => Field::oneOf('held', 'released'), 'door' => Field::id('door')->optional()];
    }

    public function refusal(Situation $now): ?string
    {
        $id = $this->get('door');
        $refused = $now->reach->door($id);
        if ($refused !== null) {
            return $refused;
        }
        $door = $id === null ? null : $now->model->doors()->get($id);
        if ($door !== null && $door->interlock === null) {
            return Words::say('acts.hold_switch.has_no_switch', ['door' => $door->label]);
        }
        $isOpen = $id === null
            ? $now->model->doors()->doors === [] || $now->state->isAnyDoorOpen()
            : in_array($id, $this->holdable($now), true);

        return $isOpen ? null : Words::say('acts.hold_switch.the_door_itself_holds_the');
    }

    public function apply(Situation $now): BenchState
    {
        $these = $this->get('door') === null ? $this->holdable($now) : [$this->get('door')];
        $held = array_diff($now->state->held, $these);
        $held = $this->get('to') === 'held' ? [...$held, ...$these] : $held;

        return $now->reach->interlocked($now->state->with(held: array_values($held)));
    }

    public function said(Names $names): string
    {
        $switch = $this->get('door') === null ? Words::say(
            'acts.hold_switch.the_door_switch',
        ) : Words::say('acts.hold_switch.the_switch_of', [
            'door' => $names->door($this->get('door')),
        ]);

        return $this->get('to') === 'held' ? Words::say('acts.hold_switch.held_in', [
            'switch' => $switch,
        ]) : Words::say('acts.hold_switch.let_go', [
            'switch' => $switch,
        ]);
    }

    /** @return list<string> */
    private function holdable(Situation $now): array
    {
        return $now->model->doors()->holdable($now->state->open);
    }
}
