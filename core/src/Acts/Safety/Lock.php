<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A lock and a tag on what has been switched or shut off, so that nobody turns it on while hands are behind it. */
final readonly class Lock extends Act
{
    public const NAME = 'lock';

    public const MINUTES = 1.0;

    public static function fields(): array
    {
        return ['part' => Field::part(), 'to' => Field::oneOf('locked', 'free')];
    }

    public function refusal(Situation $now): ?string
    {
        $part = $now->model->part($this->part());
        $isLocked = in_array($this->part(), $now->state->locked, true);

        return match (true) {
            $part === null => Words::say('acts.lock.there_is_no_part_called', ['part' => $this->part()]),
            ! $part->kind->hands()->supplied => Words::say('acts.lock.a_lock_goes_on_what'),
            $this->get('to') === 'free' => $isLocked ? null : Words::say('acts.lock.there_is_no_lock_on'),
            $isLocked => Words::say('acts.lock.it_is_locked_already'),
            $now->reach->isShutOff($now->state, $this->part()) => null,
            default => Words::say('acts.lock.shut_it_off_first'),
        };
    }

    public function apply(Situation $now): BenchState
    {
        $others = array_values(array_diff($now->state->locked, [$this->part()]));

        return $now->state->with(locked: $this->get('to') === 'locked' ? [...$others, $this->part()] : $others);
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'locked'
            ? Words::say('acts.lock.locked_off_with_a_tag', ['part' => $names->part($this->part())])
            : Words::say('acts.lock.took_the_lock_off', ['part' => $names->part($this->part())]);
    }
}
