<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\MovesSpindle;
use OddSpark\Process\Flow\Conduit;
use OddSpark\Process\Way;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * The head of a motorised valve off its body, its wires on it, or on again. It then moves as it is fed with nothing to
 * hold it back, and its switch with it; the body stays as it stood, and its spindle can be turned.
 */
final readonly class Head extends Act
{
    public const NAME = 'head';

    public const MINUTES = 2.0;

    public const QUALITIES = [Quality::Touches, Quality::Restores, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('off', 'on')];
    }

    public function refusal(Situation $now): ?string
    {
        $refused = $now->reach->part($now->state, $this->part());
        $isOff = isset($now->state->heads[$this->part()]);

        return $refused ?? match (true) {
            $now->model->kindOf($this->part())?->hands()->head !== true => Words::say('acts.head.it_has_no_head_that'),
            $this->get('to') === 'off' && $isOff => Words::say('acts.head.it_is_off_already'),
            $this->get('to') === 'on' && ! $isOff => Words::say('acts.head.it_is_on_its_body'),
            default => null,
        };
    }

    public function apply(Situation $now): BenchState
    {
        $part = $this->part();
        if ($this->get('to') === 'on') {
            return $now->state->with(heads: array_diff_key($now->state->heads, [$part => 1]));
        }
        $stands = [];
        $kind = $now->model->parts()[$part]->kind;
        foreach (array_keys($kind->those(MovesSpindle::class)) as $name) {
            $stands["$part.$name.headless"] = true;
        }
        foreach ($kind->primitives as $name => $spec) {
            if ($spec->class === Way::class) {
                $stands["$part.$name.stuck"] = $now->state->slots["$part.$name"]['free'] >= Way::FREE ? 'open' : 'shut';
            } elseif ($spec->class === Conduit::class && $spec->has('opens_by')) {
                $stands["$part.$name.stands"] = $now->state->value("$part.{$spec->get('opens_by')}");
            }
        }

        return $now->state->with(heads: $now->state->heads + [$part => $stands]);
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'off'
            ? Words::say('acts.head.took_the_head_off', ['part' => $names->part($this->part())])
            : Words::say('acts.head.put_the_head_back_on', ['part' => $names->part($this->part())]);
    }
}
