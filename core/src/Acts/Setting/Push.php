<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Attracts;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The armature of a relay or contactor pushed in. */
final readonly class Push extends Act
{
    public const NAME = 'push';

    public const MINUTES = 0.3;

    public const QUALITIES = [Quality::Forces, Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('in', 'out')];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part()) ??
            ($now->model->kindOf($this->part())?->hands()->push === true
                ? null
                : Words::say('acts.push.nothing_on_it_can_be'));
    }

    public function risks(Situation $now): array
    {
        return $this->get('to') === 'in' ? ['pushed-by-hand'] : [];
    }

    public function apply(Situation $now): BenchState
    {
        $held = ['held' => $this->get('to') === 'in'];
        $coils = array_keys($now->model->parts()[$this->part()]->kind->those(Attracts::class));

        return $now->state->withSlots(
            array_fill_keys(array_map(fn (string $name): string => "{$this->part()}.$name", $coils), $held),
        );
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'in'
            ? Words::say('acts.push.pushed_in_by_hand', ['part' => $names->part($this->part())])
            : Words::say('acts.push.let_go', ['part' => $names->part($this->part())]);
    }
}
