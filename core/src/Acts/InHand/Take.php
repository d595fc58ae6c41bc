<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * A part taken off the appliance, to be looked at and measured in the hand, or the same one put back: which mends
 * nothing. Its wires come off with it; what is joined to it by pipes stands open and passes nothing.
 */
final readonly class Take extends Act
{
    public const NAME = 'take';

    public const MINUTES = 4.0;

    public const QUALITIES = [Quality::Touches, Quality::Restores, Quality::Barrable];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('off', 'on')];
    }

    public function refusal(Situation $now): ?string
    {
        $refused = $now->reach->part($now->state, $this->part());
        if ($refused !== null) {
            return $refused;
        }
        $hands = $now->model->kindOf($this->part())?->hands();
        $isOff = isset($now->state->off[$this->part()]);

        return match (true) {
            $hands === null || ! $hands->off && $hands->fuse === null => Words::say('acts.take.that_is_not_taken_off'),
            $this->get('to') === 'off' && $isOff => Words::say('acts.take.it_is_off_already'),
            $this->get('to') === 'on' && ! $isOff => Words::say('acts.take.it_sits_where_it_belongs'),
            default => null,
        };
    }

    public function risks(Situation $now): array
    {
        if ($now->model->kindOf($this->part())?->comesOff() !== true) {
            return $now->risk->drawing($now, $this->part());
        }
        $live = $now->risk->hands($now, $this->part(), $now->state->off[$this->part()] ?? []);

        $hot = $now->risk->burns($now, $this->part()) ? ['hot-igniter'] : [];

        return $this->get('to') === 'off' ? [...$live, ...$hot, ...$now->risk->opened($now, $this->part())] : $live;
    }

    public function apply(Situation $now): BenchState
    {
        return $this->get('to') === 'off'
            ? $now->reach->takenOff($now->state, $this->part())
            : $now->reach->putBack($now->state, $this->part());
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'off'
            ? Words::say('acts.take.took_off', ['part' => $names->part($this->part())])
            : Words::say('acts.take.put_back', ['part' => $names->part($this->part())]);
    }
}
