<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Words\Words;

/** What the last reading meant to the person. */
final readonly class Meant extends Note
{
    public const NAME = 'meant';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return ['meaning' => Field::oneOf('good', 'bad', 'unsure')];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.meant.called_it', [
            'words' => match ($this->get('meaning')) {
                'good' => 'good',
                'bad' => 'bad',
                default => 'unclear',
            },
        ]);
    }
}
