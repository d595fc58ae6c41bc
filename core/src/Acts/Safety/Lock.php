<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

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
            $part === null => "There is no part called \"{$this->part()}\" here.",
            ! $part->kind->hands()->supplied => 'A lock goes on what shuts off power or fuel.',
            $this->get('to') === 'free' => $isLocked ? null : 'There is no lock on it.',
            $isLocked => 'It is locked already.',
            default => $now->reach->isShutOff($now->state, $this->part()) ? null : 'Switch or shut it off first.',
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
            ? "Locked {$names->part($this->part())} off, with a tag"
            : "Took the lock off {$names->part($this->part())}";
    }
}
