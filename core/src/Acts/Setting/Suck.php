<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Senses;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * Suction by mouth at the port of a pressure switch: nobody can tell how hard he pulls, so it makes, and its
 * diaphragm tears (common practice, no source).
 */
final readonly class Suck extends Act
{
    public const NAME = 'suck';

    public const MINUTES = 0.3;

    public const QUALITIES = [Quality::Forces, Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('on', 'off')];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part()) ??
            ($now->model->kindOf($this->part())?->hands()->suck === true
                ? null
                : Words::say('acts.suck.there_is_no_port_on'));
    }

    public function risks(Situation $now): array
    {
        return $this->get('to') === 'on' ? ['suction'] : [];
    }

    public function apply(Situation $now): BenchState
    {
        $sensors = array_keys($now->model->parts()[$this->part()]->kind->those(Senses::class));
        $ids = array_map(fn (string $name): string => "{$this->part()}.$name", $sensors);
        $pulls = $this->get('to') === 'on'; // to let go tears nothing: by then it may be a new one
        $torn = $pulls ? array_fill_keys(array_map(fn (string $id): string => "$id.torn", $ids), true) : [];

        return $now->state
            ->with(fitted: $torn + $now->state->fitted)
            ->withSlots(array_fill_keys($ids, ['sucked' => $pulls]));
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'on'
            ? Words::say('acts.suck.sucked_at', ['part' => $names->part($this->part())])
            : Words::say('acts.suck.let_go', ['part' => $names->part($this->part())]);
    }
}
