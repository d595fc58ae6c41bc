<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Names;

/** Nothing done but waiting. */
final readonly class Wait extends Note
{
    public const NAME = 'wait';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return [];
    }

    public function said(Names $names): string
    {
        return 'Waited';
    }
}
