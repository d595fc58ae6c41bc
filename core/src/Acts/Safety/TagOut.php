<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** An appliance that must not run: its fuel shut, its supply off, and a tag on it that says so. */
final readonly class TagOut extends Act
{
    public const NAME = 'tag_out';

    public const MINUTES = 2.0;

    public static function fields(): array
    {
        return ['to' => Field::oneOf('tagged', 'free')];
    }

    public function refusal(Situation $now): ?string
    {
        if ($this->get('to') === 'free') {
            return $now->state->tagged ? null : 'There is no tag on it.';
        }

        return match (true) {
            $now->state->tagged => 'It is tagged already.',
            ! $now->reach->isMadeSafe($now->state) => 'Make it safe first: shut the fuel and turn the power off.',
            default => null,
        };
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(tagged: $this->get('to') === 'tagged');
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'tagged' ? 'Tagged it: not to be used' : 'Took the tag off';
    }
}
