<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Words\Words;

/** A mark on one's own list of suspects. */
final readonly class Suspect extends Note
{
    public const NAME = 'suspect';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return [
            'fault' => Field::id('fault'),
            'mark' => Field::oneOf('star', 'out', 'open'),
            'why' => Field::words()->optional(),
        ];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.suspect.a_suspect', [
            'words' => match ($this->get('mark')) {
                'out' => Words::say('acts.suspect.ruled_out'),
                'star' => 'Starred',
                default => Words::say('acts.suspect.took_back'),
            },
            'fault' => $names->fault($this->get('fault')),
            'words_2' => $this->get('why') === null
                ? ''
                : Words::say('acts.suspect.because', ['why' => $this->get('why')]),
        ]);
    }
}
