<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

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
            return $now->state->tagged ? null : Words::say('acts.tag_out.there_is_no_tag_on');
        }

        return match (true) {
            $now->state->tagged => Words::say('acts.tag_out.it_is_tagged_already'),
            ! $now->reach->isMadeSafe($now->state) => Words::say('acts.tag_out.make_it_safe_first_shut'),
            default => null,
        };
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(tagged: $this->get('to') === 'tagged');
    }

    public function said(Names $names): string
    {
        return $this->get('to') === 'tagged'
            ? Words::say('acts.tag_out.tagged_it_not_to_be')
            : Words::say('acts.tag_out.took_the_tag_off');
    }
}
