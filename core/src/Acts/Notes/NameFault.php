<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Words\Words;

/** The fault named. */
final readonly class NameFault extends Note
{
    public const NAME = 'name';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['fault' => Field::id('fault')];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.name_fault.named_the_fault', ['fault' => $names->fault($this->get('fault'))]);
    }
}
