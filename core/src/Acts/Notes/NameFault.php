<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;

/** The fault named. */
final readonly class NameFault extends Act
{
    public const NAME = 'name';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['fault' => Field::id('fault')];
    }

    public function said(Names $names): string
    {
        return "Named the fault: {$names->fault($this->get('fault'))}";
    }
}
