<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Leaving;
use OddSpark\Acts\Names;
use OddSpark\Acts\Situation;
use OddSpark\Words\Words;

/** The appliance handed back to the household. */
final readonly class HandBack extends Note
{
    public const NAME = 'hand_back';

    public const MINUTES = 2.0;

    public static function fields(): array
    {
        return [];
    }

    public function risks(Situation $now): array
    {
        return (new Leaving())->behind($now);
    }

    public function said(Names $names): string
    {
        return Words::say('acts.hand_back.closed_the_call');
    }
}
